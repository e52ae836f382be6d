<script setup lang="ts">
const { fetch: refresh, loggedIn } = useUserSession()
definePageMeta({ layout: false })
const route = useRoute()
const asked = reactive({ email: '', password: '' })
const fields = [
  ['email', 'E-mail', 'username'],
  ['password', 'Password', 'current-password'],
] as const
const wrong = ref('')
const busy = ref(false)
/** Before the page works a press would be lost. */
const ready = ref(false)
onMounted(() => {
  ready.value = true
})
const { data: welcome } = await useFetch('/api/welcome')

/** What is wrong with a field, by its name. */
const wrongFields = ref<Partial<Record<'email' | 'password', string>>>({})
async function signIn() {
  const schemas = await fetched(() => import('~/schemas/sign-in'))
  if (!schemas) return void (wrong.value = unfetched)
  const read = schemas.signInSchema.safeParse(asked)
  wrongFields.value = {}
  if (read.success) return enter(read.data)
  for (const { path, message } of read.error.issues) wrongFields.value[path[0] as 'email' | 'password'] ??= message
  document.querySelector<HTMLElement>(wrongFields.value.email ? '#email' : '#password')?.focus()
}
async function enter(body: object) {
  busy.value = true
  wrong.value = ''
  try {
    await $fetch('/api/session', { method: 'POST', body })
    await refresh()
    const then = String(route.query.then ?? '/')
    if (!loggedIn.value) wrong.value = 'You are signed in, but the server does not answer at the moment. Try once more.'
    else await navigateTo(then.startsWith('/') && !then.startsWith('//') ? then : '/')
  } catch (error) {
    wrong.value = messageOf(error)
  }
  busy.value = false
}
</script>

<template>
  <main class="door">
    <form class="card" novalidate @submit.prevent="signIn">
      <div class="head">
        <img src="/mark.svg" alt="" width="34" height="34" />
        <h1>Hailbank</h1>
      </div>
      <p class="quiet">Decks that know how long they take.</p>
      <div v-if="welcome?.demo.length" class="demo">
        <button
          v-for="(person, index) in welcome.demo"
          :key="person.email"
          type="button"
          class="press"
          :class="{ acts: index === 0 }"
          :disabled="busy || !ready"
          @click="enter({ demo: person.email })"
        >
          Enter as {{ person.name }}
        </button>
        <p class="quiet">The demo’s people, of the invented Velmoor Harbour.</p>
      </div>
      <label v-for="[name, label, known] in fields" :key="name">
        {{ label }}
        <input
          :id="name"
          :value="asked[name]"
          class="field"
          :type="name"
          :autocomplete="known"
          :aria-invalid="!!wrongFields[name]"
          :aria-describedby="wrongFields[name] ? `${name}-wrong` : undefined"
          @input="asked[name] = ($event.target as HTMLInputElement).value"
        />
        <span v-if="wrongFields[name]" :id="`${name}-wrong`" class="wrong">{{ wrongFields[name] }}</span>
      </label>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <button class="press" :class="{ acts: !welcome?.demo.length }" :disabled="busy || !ready">Sign in</button>
    </form>
  </main>
</template>

<style scoped>
/* The first page that is loaded, and the lightest: plain controls that look as the library's do. */
.press {
  border: 1px solid var(--line);
  background: var(--panel);
  border-radius: 8px;
  padding: 6px 11px;
  font-weight: 500;
  cursor: pointer;
}
.press:hover:not(:disabled) {
  border-color: var(--act);
}
.press:disabled {
  opacity: 0.45;
  cursor: not-allowed;
}
.press.acts {
  background: var(--act);
  border-color: var(--act);
  color: var(--on-act);
  font-weight: 600;
}
.press.acts:hover:not(:disabled) {
  background: var(--act-deep);
}
.door {
  min-height: 100%;
  display: grid;
  place-items: center;
  padding: 24px;
}
.card {
  width: min(380px, 100%);
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 28px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
}
.head h1 {
  font-size: 28px;
}
.card > p {
  margin: -6px 0 0;
}
.demo {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 6px 0 14px;
  border-bottom: 1px solid var(--line);
}
.demo p {
  width: 100%;
  margin: 2px 0 0;
  font-size: 13px;
}
.demo .press {
  flex: 1;
}
.field {
  border: 1px solid var(--line);
  background: var(--panel);
  color: var(--ink);
  border-radius: 7px;
  padding: 5px 8px;
  font: inherit;
  min-width: 0;
}
.field:focus {
  border-color: var(--act);
  outline: 1px solid var(--act);
}
label {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--second);
}
.wrong {
  color: var(--wrong);
  margin: 0 !important;
}
.card > .press {
  padding: 9px;
}
</style>
