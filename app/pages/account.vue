<script setup lang="ts">
import { z } from 'zod'
import type { FormSubmitEvent } from '@nuxt/ui'

interface Session {
  id: string
  created_at: string
  seen_at: string
  agent: string
  address: string
  here: boolean
}

useHead({ title: 'Your account · Hailbank' })
const { user } = useUserSession()
const { data: sessions, refresh } = await useFetch<Session[]>('/api/account/sessions')

const blank = () => ({ current: '', next: '', again: '' })
const state = reactive(blank())
const schema = z
  .object({
    current: z.string().min(1, 'Your password as it is now'),
    next: z.string().min(10, 'A password has at least 10 letters').max(1000),
    again: z.string(),
  })
  .refine(({ next, again }) => next === again, { path: ['again'], message: 'The two are not the same' })
const busy = ref(false)
async function change(event: FormSubmitEvent<z.output<typeof schema>>) {
  busy.value = true
  const { current, next } = event.data
  if (await asking(() => $fetch('/api/account/password', { method: 'POST', body: { current, next } }))) {
    notify('Your password is another one now. You are signed out everywhere else.')
    Object.assign(state, blank())
    await refresh()
  }
  busy.value = false
}

/** What a browser calls itself, in a few words. */
function browserWords(agent: string): string {
  const browser = /(Firefox|Edg|OPR|Chrome|Safari)\//.exec(agent)?.[1]
  const system = /(Windows|Mac OS X|Android|iPhone|iPad|Linux)/.exec(agent)?.[1]
  const names: Record<string, string> = { Edg: 'Edge', OPR: 'Opera', 'Mac OS X': 'macOS' }
  return [browser && (names[browser] ?? browser), system && `on ${names[system] ?? system}`].filter(Boolean).join(' ') || 'A program'
}
const when = (date: string) =>
  new Date(date).toLocaleString(undefined, { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })
async function end(session: Session) {
  if (await asking(() => $fetch(`/api/account/sessions/${session.id}`, { method: 'DELETE' }))) notify('Signed out there')
  await refresh()
}
</script>

<template>
  <div>
    <SiteBar />
    <main>
      <section>
        <h1>{{ user?.name }}</h1>
        <p class="quiet">{{ user?.email }}</p>
        <h2>Where you are signed in</h2>
        <ul>
          <li v-for="session in sessions" :key="session.id" data-test="session">
            <div class="words">
              <b>
                {{ browserWords(session.agent) }}
                <span v-if="session.here" class="quiet">(here)</span>
              </b>
              <span class="quiet">
                since {{ when(session.created_at) }}, last used
                {{ session.address ? `${when(session.seen_at)}, from ${session.address}` : when(session.seen_at) }}
              </span>
            </div>
            <UButton v-if="!session.here" color="neutral" variant="outline" size="sm" @click="end(session)">Sign out there</UButton>
          </li>
        </ul>
      </section>
      <UForm :schema="schema" :validate-on="[]" :state="state" class="box" @submit="change">
        <h2>Another password</h2>
        <UFormField label="Current password" name="current">
          <UInput v-model="state.current" type="password" autocomplete="current-password" class="w-full" />
        </UFormField>
        <UFormField label="New password" name="next" hint="10 letters or more">
          <UInput v-model="state.next" type="password" autocomplete="new-password" class="w-full" />
        </UFormField>
        <UFormField label="New password again" name="again">
          <UInput v-model="state.again" type="password" autocomplete="new-password" class="w-full" />
        </UFormField>
        <UButton color="primary" variant="solid" type="submit" :loading="busy" block>Change it</UButton>
      </UForm>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: 24px 28px;
  max-width: 1080px;
  margin: 0 auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 36px;
  align-items: start;
}
h1 {
  font-size: 26px;
}
h2 {
  font-size: 17px;
}
section h2 {
  margin: 26px 0 10px;
}
p {
  margin: 4px 0 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
}
li {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 10px 14px;
  border-bottom: 1px solid var(--line);
}
li:last-child {
  border-bottom: 0;
}
.words {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  overflow-wrap: anywhere;
}
.words .quiet {
  font-size: 13px;
}
.box {
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 18px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
</style>
