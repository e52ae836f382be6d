<script setup lang="ts">
useHead({ title: 'People · Hailbank' })
const { user } = useUserSession()
const canEdit = computed(() => (user.value as { role?: string } | null)?.role === 'editor')
const { data: people, refresh } = await useFetch('/api/people')
const blank = () => ({ name: '', email: '', password: '', role: 'editor' as 'editor' | 'viewer' })
const person = ref(blank())
const roles = { editor: 'Editor: changes everything', viewer: 'Viewer: looks and presents' }

async function add() {
  if (!(await asking(() => $fetch('/api/people', { method: 'POST', body: person.value })))) return
  tell(`${person.value.name} can sign in now`)
  person.value = blank()
  await refresh()
}
</script>

<template>
  <div>
    <SiteBar />
    <main>
      <section>
        <h1>People</h1>
        <table>
          <thead><tr><th>Name</th><th>E-mail</th><th>Role</th></tr></thead>
          <tbody><tr v-for="row in people" :key="row.id"><td>{{ row.name }}</td><td>{{ row.email }}</td><td>{{ row.role }}</td></tr></tbody>
        </table>
      </section>
      <form v-if="canEdit" @submit.prevent="add">
        <h2>Somebody new</h2>
        <label>Name<input v-model="person.name" class="field" maxlength="120" required></label>
        <label>E-mail<input v-model="person.email" class="field" type="email" required></label>
        <label>First password, at least 10 letters<input v-model="person.password" class="field" type="password" minlength="10" autocomplete="new-password" required></label>
        <label>Role<select v-model="person.role" class="field"><option v-for="(words, role) in roles" :key="role" :value="role">{{ words }}</option></select></label>
        <button class="press acts">Add to the team</button>
      </form>
    </main>
  </div>
</template>

<style scoped>
main { padding: 24px 28px; max-width: 1080px; margin: 0 auto; display: grid; grid-template-columns: 1fr 320px; gap: 36px; align-items: start; }
h1 { font-size: 26px; margin-bottom: 16px; }
table { width: 100%; border-collapse: collapse; background: var(--panel); border: 1px solid var(--line); border-radius: 8px; }
th, td { text-align: left; padding: 10px 14px; border-bottom: 1px solid var(--line); overflow-wrap: anywhere; }
th { color: var(--third); font-weight: 500; }
form { background: var(--panel); border: 1px solid var(--line); border-radius: 10px; padding: 18px; display: flex; flex-direction: column; gap: 12px; }
label { display: flex; flex-direction: column; gap: 3px; color: var(--second); }
form .press { justify-content: center; }
</style>
