<script setup lang="ts">
/** Where a table is used: slides that draw it, screens that play it, tables that are made of it. */
const props = defineProps<{ table: string }>()
const emit = defineEmits<{ open: [id: string] }>()
interface Uses {
  decks: { id: string; title: string; slides: { slide: string; number: number; title: string }[]; stays: number[] }[]
  screens: { id: string; name: string }[]
  made: { id: string; name: string }[]
}
const uses = shallowRef<Uses | null>(null)
const lacking = ref('')
async function load() {
  const of = props.table
  try {
    const found = await $fetch<Uses>(`/api/data/${of}/used`)
    if (props.table !== of) return
    uses.value = found
    lacking.value = ''
  } catch (error) {
    if (props.table === of) lacking.value = messageOf(error)
  }
}
watch(
  () => props.table,
  () => {
    uses.value = null
    void load()
  },
  { immediate: true },
)
const slideLink = (deck: string, slide: string) => `/decks/${deck}?phase=compose&slide=${slide}`
const isUnused = computed(() => !!uses.value && !uses.value.decks.length && !uses.value.screens.length && !uses.value.made.length)
</script>

<template>
  <p v-if="lacking" class="wait" role="alert">
    {{ lacking }}
    <UButton size="sm" @click="load">Try again</UButton>
  </p>
  <p v-else-if="!uses" class="quiet wait" role="status">Looking where it is used…</p>
  <p v-else-if="isUnused" class="wait">No slide draws it yet, and no table is made of it. Draw it puts it onto a slide.</p>
  <div v-else class="used">
    <section v-if="uses.decks.length" aria-label="Slides that draw it">
      <h3>Slides</h3>
      <ul>
        <li v-for="deck in uses.decks" :key="deck.id">
          <NuxtLink :to="`/decks/${deck.id}`" class="deck">{{ deck.title }}</NuxtLink>
          <span v-if="deck.stays.length" class="quiet">stays at version {{ listWords(deck.stays.map(String)) }}</span>
          <ol>
            <li v-for="one in deck.slides" :key="one.slide">
              <NuxtLink :to="slideLink(deck.id, one.slide)">
                <b>{{ one.number }}</b>
                <span>{{ one.title }}</span>
              </NuxtLink>
            </li>
          </ol>
        </li>
      </ul>
    </section>
    <section v-if="uses.screens.length" aria-label="Screens that play it">
      <h3>Screens</h3>
      <ul class="words">
        <li v-for="screen in uses.screens" :key="screen.id">
          <NuxtLink to="/screens">{{ screen.name }}</NuxtLink>
        </li>
      </ul>
    </section>
    <section v-if="uses.made.length" aria-label="Tables that are made of it">
      <h3>Tables made of it</h3>
      <ul class="words">
        <li v-for="one in uses.made" :key="one.id">
          <UButton variant="bare" class="link" @click="emit('open', one.id)">{{ one.name }}</UButton>
        </li>
      </ul>
    </section>
    <p class="quiet">
      {{ uses.decks.some(deck => deck.stays.length) ? 'All others follow' : 'All of them follow' }} the version on air within seconds. If
      the table is removed, they have nothing to draw.
    </p>
  </div>
</template>

<style scoped>
.wait {
  padding: 20px 0;
}
.used {
  display: flex;
  flex-direction: column;
  gap: 18px;
  overflow-y: auto;
  padding: 6px 2px 16px;
}
h3 {
  margin: 0 0 8px;
  font-size: 16px;
}
ul,
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
section > ul:not(.words) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 10px;
}
section > ul:not(.words) > li {
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--panel);
  min-width: 0;
}
.deck {
  font-weight: 650;
}
ol a {
  display: flex;
  gap: 10px;
  padding: 3px 0;
  color: var(--ink);
}
ol b {
  min-width: 1.6em;
  font: 600 13px var(--font-mono);
  color: var(--second);
  text-align: right;
  line-height: inherit;
}
ol span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.link,
.words a,
.deck {
  color: var(--act);
}
.link {
  font-weight: 500;
}
a:hover,
.link:hover {
  text-decoration: underline;
}
</style>
