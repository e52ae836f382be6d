<script setup lang="ts">
/** A deck begins with words that are pasted or written here; what cannot be read as slides is said, and stays in the field. */
const words = ref('')
const begun = useBegun()
const busy = ref(false)

/** The deck is called what its first line says. */
async function begin() {
  const first = words.value.split('\n').find(line => line.trim())
  if (!first || busy.value) return
  busy.value = true
  const read = await readOutline(words.value)
  const id = read && (await makeDeck({ title: first.replace(/^[#\s*-]+/, '').slice(0, 300), purpose: 'talk' }))
  busy.value = false
  if (!id) return
  begun.value = { deck: id, words: words.value }
  await navigateTo(`/decks/${id}`)
}
/** The levels of a page that is pasted stand here as an outline writes them. */
function paste(event: ClipboardEvent) {
  const text = outlineIn(event.clipboardData)
  if (text === event.clipboardData?.getData('text/plain')) return
  event.preventDefault()
  const field = event.target as HTMLTextAreaElement
  field.setRangeText(text, field.selectionStart, field.selectionEnd, 'end')
  words.value = field.value
}
</script>

<template>
  <section aria-label="Begin a deck">
    <h2>Begin a deck</h2>
    <form @submit.prevent="begin">
      <UTextarea
        v-model="words"
        :rows="4"
        aria-label="Paste your words, a line a slide"
        placeholder="Paste your words, a line a slide, or just start writing"
        @paste="paste"
        @keydown.ctrl.enter="begin"
        @keydown.meta.enter="begin"
      />
      <UButton type="submit" color="primary" variant="solid" :disabled="!words.trim() || busy">Make slides of it</UButton>
    </form>
  </section>
</template>

<style scoped>
h2 {
  font-size: 18px;
  margin-bottom: 10px;
}
form {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 10px;
}
form > :first-child {
  width: 100%;
}
</style>
