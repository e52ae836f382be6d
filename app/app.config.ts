/** Lists of choices: fields as the house's others are; the list as wide as its words. */
const choices = {
  base: 'min-w-0 max-w-full rounded-[7px] py-[5.5px] text-[14px] leading-5 ring-(--line) not-disabled:hover:ring-(--act)',
  placeholder: 'text-(--third)',
}
const list = 'w-auto min-w-(--reka-popper-anchor-width) max-w-88 ring-(--line)'

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
    select: { slots: { ...choices, content: list } },
    selectMenu: { slots: { ...choices, content: list } },
  },
})
