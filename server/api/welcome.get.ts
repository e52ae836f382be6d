/** Open to all: whether this is the demo, and whom it offers to sign in as. Nothing else is told to strangers. */
export default defineEventHandler(() => ({
  demo:
    process.env.HAILBANK_DEMO === '1'
      ? [
          { name: 'Ines Rahm', email: 'ines@velmoor.example' },
          { name: 'Tomas Marr', email: 'tomas@velmoor.example' },
        ]
      : [],
}))
