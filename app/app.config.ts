/** What all fields have: their height, corners, and the line around them. */
const field = 'rounded-[7px] px-2 py-[5.5px] text-[14px] leading-5 not-disabled:hover:ring-[color:var(--act)] placeholder:text-(--third)'
/** Lists of choices are fields too; the list is as wide as its words. */
const choices = { base: `min-w-0 max-w-full ${field}`, placeholder: 'text-(--third)' }
const list = {
  content: 'w-auto min-w-(--reka-popper-anchor-width) max-w-88',
  item: 'data-highlighted:not-data-disabled:before:bg-(--act-wash)',
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
    input: { slots: { base: field } },
    textarea: { slots: { base: field } },
    select: { slots: { ...choices, ...list } },
    selectMenu: { slots: { ...choices, ...list } },
  },
})
