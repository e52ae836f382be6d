<script setup lang="ts">
import { z } from 'zod'
import type { DropdownMenuItem, FormSubmitEvent } from '@nuxt/ui'
import type { User } from '~/composables/user-session'

type Row = User & { signsIn?: boolean; seenAt?: string | null }

useHead({ title: 'People · Hailbank' })
const { user, isAdmin } = useUserSession()
const { data: people, refresh } = await useFetch<Row[]>('/api/people')
const roles = [
  { value: 'admin' as const, label: 'Admin', words: 'changes everything, and says who is of the team' },
  { value: 'editor' as const, label: 'Editor', words: 'changes everything else' },
  { value: 'viewer' as const, label: 'Viewer', words: 'looks and presents' },
]
const labelOf = (role: User['role']) => roles.find(one => one.value === role)!.label
const seen = (row: Row) =>
  row.signsIn === false
    ? 'has not set a password yet'
    : row.seenAt
      ? `last here ${new Date(row.seenAt).toLocaleDateString(undefined, { day: 'numeric', month: 'long' })}`
      : 'has not been here yet'

const blank = () => ({ name: '', email: '', role: 'editor' as User['role'] })
const person = reactive(blank())
const schema = z.object({
  name: z.string().trim().min(1, 'A name is missing').max(120),
  email: z.email('That is no e-mail address').max(320),
  role: z.enum(['admin', 'editor', 'viewer']),
})
const adding = ref(false)
const handed = ref<{ link: string; title: string; words: string } | null>(null)

async function add(event: FormSubmitEvent<z.output<typeof schema>>) {
  adding.value = true
  const made = await asking(() => $fetch('/api/people', { method: 'POST', body: event.data }))
  adding.value = false
  if (!made) return
  handed.value = {
    link: made.link,
    title: `${event.data.name} is of the team`,
    words: 'With this link they set their password and sign in. It holds for three days and works once; it is not shown again.',
  }
  Object.assign(person, blank())
  await refresh()
}
async function change(row: Row, role: User['role']) {
  if (await asking(() => $fetch(`/api/people/${row.id}`, { method: 'PATCH', body: { role } })))
    notify(`${row.name} is ${labelOf(role).toLowerCase()} now`)
  await refresh()
  if (row.id === user.value?.id) await useUserSession().fetch()
}
async function link(row: Row) {
  const made = await asking(() => $fetch(`/api/people/${row.id}/link`, { method: 'POST' }))
  if (made)
    handed.value = {
      link: made.link,
      title: `A new password for ${row.name}`,
      words:
        'With this link they set a new password; all their sessions end then. It holds for three days and works once; it is ' +
        'not shown again.',
    }
}
const leaving = ref<Row | null>(null)
async function remove(row: Row) {
  leaving.value = null
  if (await asking(() => $fetch(`/api/people/${row.id}`, { method: 'DELETE' })))
    notify(`${row.name} is not of the team any more. What they made stays.`)
  await refresh()
}
const menuOf = (row: Row): DropdownMenuItem[] => [
  { label: 'Make a link for a new password', icon: 'i-lucide-link', onSelect: () => void link(row) },
  {
    label: 'Remove from the team',
    icon: 'i-lucide-user-minus',
    color: 'error',
    onSelect: () => {
      leaving.value = row
    },
  },
]
const menuById = (id: string) => {
  const row = people.value?.find(one => one.id === id)
  return row && isAdmin.value ? [menuOf(row)] : []
}
const whatLeavingDoes =
  'They are signed out everywhere at once and cannot sign in again. Decks and media that they made stay. ' +
  'This cannot be undone, but they can be added anew.'
</script>

<template>
  <div>
    <SiteBar />
    <main :class="{ alone: !isAdmin }">
      <section>
        <h1>People</h1>
        <RightMenu :menu-of="menuById">
          <ul>
            <li v-for="row in people" :key="row.id" :data-person="row.email" :data-menu="row.id">
              <div class="who">
                <b>
                  {{ row.name }}
                  <span v-if="row.id === user?.id" class="quiet">(you)</span>
                </b>
                <span class="quiet">{{ row.email }}</span>
              </div>
              <span v-if="isAdmin" class="quiet seen">{{ seen(row) }}</span>
              <USelect
                v-if="isAdmin"
                :model-value="row.role"
                :items="roles"
                value-key="value"
                class="w-32"
                :aria-label="`Role of ${row.name}`"
                @update:model-value="role => change(row, role)"
              />
              <span v-else>{{ labelOf(row.role) }}</span>
              <UDropdownMenu v-if="isAdmin" :items="menuOf(row)" :content="{ align: 'end' }">
                <UButton icon="i-lucide-ellipsis" color="neutral" variant="ghost" :aria-label="`What to do with ${row.name}`" />
              </UDropdownMenu>
            </li>
          </ul>
        </RightMenu>
        <dl class="quiet">
          <template v-for="role in roles" :key="role.value">
            <dt>{{ role.label }}</dt>
            <dd>{{ role.words }}</dd>
          </template>
        </dl>
      </section>
      <UForm v-if="isAdmin" :schema="schema" :validate-on="[]" :state="person" class="new" @submit="add">
        <h2>Add a person</h2>
        <UFormField label="Name" name="name"><UInput v-model="person.name" class="w-full" maxlength="120" /></UFormField>
        <UFormField label="E-mail" name="email"><UInput v-model="person.email" class="w-full" maxlength="320" /></UFormField>
        <UFormField label="Role" name="role"><USelect v-model="person.role" :items="roles" value-key="value" class="w-full" /></UFormField>
        <UButton color="primary" variant="solid" type="submit" :loading="adding" block>Add to the team</UButton>
      </UForm>
    </main>
    <LinkToHandOver v-if="handed" v-bind="handed" @close="handed = null" />
    <UModal
      v-if="leaving"
      :open="true"
      :title="`Remove ${leaving.name} from the team?`"
      :description="whatLeavingDoes"
      @update:open="leaving = null"
    >
      <template #footer>
        <UButton color="error" variant="solid" @click="remove(leaving)">Remove {{ leaving.name }}</UButton>
        <UButton color="neutral" variant="ghost" @click="leaving = null">Cancel</UButton>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
main {
  padding: 24px 28px;
  max-width: 1120px;
  margin: 0 auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 36px;
  align-items: start;
}
main.alone {
  grid-template-columns: minmax(0, 1fr);
  max-width: 760px;
}
h1 {
  font-size: 26px;
  margin-bottom: 16px;
}
h2 {
  font-size: 17px;
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
.who {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  overflow-wrap: anywhere;
}
.seen {
  font-size: 13px;
  text-align: right;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 16px 14px;
  font-size: 13px;
}
dd {
  margin: 0;
}
.new {
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 18px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
</style>
