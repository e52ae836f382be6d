/** What all fields have: their height, corners, and the line around them. */
const field = 'rounded-[7px] px-2 py-[5.5px] text-[14px] leading-5 not-disabled:hover:ring-[color:var(--act)] placeholder:text-(--third)'
/** Lists of choices are fields too; the list is as wide as its words. */
const choices = { base: `min-w-0 max-w-full ${field}`, placeholder: 'text-(--third)' }
const list = {
  content: 'w-auto min-w-(--reka-popper-anchor-width) max-w-88',
  item: 'data-highlighted:not-data-disabled:before:bg-(--act-wash)',
}

/** A press is calm until it is the one that acts; small ones are round. */
const button = {
  slots: { base: 'rounded-[8px] whitespace-nowrap cursor-pointer disabled:opacity-45 aria-disabled:opacity-45' },
  variants: {
    // A press that its place draws: a tile, a swatch, a row of a list.
    variant: { bare: '' },
    size: {
      sm: {
        base: 'rounded-full px-2.5 py-1 text-[13px] leading-[1.45] gap-1.5',
        leadingIcon: 'size-[1.1em]',
        trailingIcon: 'size-[1.1em]',
      },
      md: { base: 'px-3 py-[7px] text-[14px] leading-[1.45] gap-1.5', leadingIcon: 'size-[1.1em]', trailingIcon: 'size-[1.1em]' },
    },
  },
  compoundVariants: [
    { size: 'sm' as const, square: true, class: 'p-1.5' },
    { size: 'md' as const, square: true, class: 'px-3 py-2' },
    {
      color: 'neutral' as const,
      variant: 'outline' as const,
      class: 'bg-(--panel) text-(--ink) ring-(--line) hover:bg-(--panel) hover:not-disabled:ring-(--act) active:bg-(--act-wash)',
    },
    { color: 'neutral' as const, variant: 'ghost' as const, class: 'text-(--ink) hover:bg-(--act-wash) active:bg-(--act-wash)' },
    {
      color: 'primary' as const,
      variant: 'solid' as const,
      class: 'bg-(--act) text-(--on-act) font-semibold hover:bg-(--act-deep) active:bg-(--act-deep) disabled:bg-(--act)',
    },
    {
      variant: 'bare' as const,
      class: 'block items-stretch p-0 gap-0 rounded-none font-normal text-[length:inherit] leading-[inherit] whitespace-normal',
    },
    { active: true, variant: 'ghost' as const, class: 'bg-(--act-wash) text-(--act)' },
    { active: true, variant: 'outline' as const, class: 'bg-(--act-wash) ring-(--act) hover:bg-(--act-wash)' },
  ],
  defaultVariants: { color: 'neutral' as const, variant: 'outline' as const },
}

export default defineAppConfig({
  ui: {
    colors: {
      primary: 'spruce',
      neutral: 'harbour',
      error: 'clay',
      warning: 'marigold',
      success: 'spruce',
      secondary: 'harbour',
      info: 'harbour',
    },
    dropdownMenu: { slots: { item: list.item } },
    contextMenu: { slots: { item: list.item } },
    button,
    tabs: {
      slots: {
        root: 'gap-0',
        list: 'w-full bg-(--well)',
        trigger: 'grow cursor-pointer data-[state=inactive]:text-(--second)',
      },
      // As many as an element has settings stand whole in the narrowest window.
      variants: { size: { xs: { trigger: 'px-0.5 py-1 text-[13px]' } } },
    },
    input: { slots: { base: field } },
    textarea: { slots: { base: field } },
    select: { slots: { ...choices, ...list } },
    selectMenu: { slots: { ...choices, ...list } },
  },
})
