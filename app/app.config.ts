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
  },
})
