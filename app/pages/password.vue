<script setup lang="ts">
import { z } from 'zod'
import type { FormSubmitEvent } from '@nuxt/ui'

useHead({ title: 'Set your password · Hailbank', meta: [{ name: 'referrer', content: 'no-referrer' }] })
// Behind the number sign: no server on the way reads it in an address.
const token = useRoute().hash.slice(1)
const { data: whom, error } = await useAsyncData('whom', () => $fetch('/api/password-link', { method: 'POST', body: { token } }))

const state = reactive({ password: '', again: '' })
const schema = z
  .object({ password: z.string().min(10, 'A password has at least 10 letters').max(1000), again: z.string() })
  .refine(({ password, again }) => password === again, { path: ['again'], message: 'The two are not the same' })
const busy = ref(false)
async function take(event: FormSubmitEvent<z.output<typeof schema>>) {
  busy.value = true
  if (await asking(() => $fetch('/api/password-link', { method: 'POST', body: { token, password: event.data.password } }))) {
    await useUserSession().fetch()
    await navigateTo('/')
  }
  busy.value = false
}
</script>

<template>
  <main class="door">
    <div class="card">
      <div class="head">
        <img src="/mark.svg" alt="" width="34" height="34" />
        <h1>Hailbank</h1>
      </div>
      <p v-if="error" role="alert">{{ messageOf(error) }}</p>
      <UForm v-else-if="whom" :schema="schema" :validate-on="[]" :state="state" class="form" @submit="take">
        <p>{{ whom.name }}, choose a password for {{ whom.email }}.</p>
        <UFormField label="Password" name="password" hint="10 letters or more">
          <UInput v-model="state.password" type="password" autocomplete="new-password" autofocus class="w-full" />
        </UFormField>
        <UFormField label="Password again" name="again">
          <UInput v-model="state.again" type="password" autocomplete="new-password" class="w-full" />
        </UFormField>
        <UButton color="primary" variant="solid" type="submit" :loading="busy" block>Set it and sign in</UButton>
      </UForm>
    </div>
  </main>
</template>

<style scoped>
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
  gap: 16px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
}
.head h1 {
  font-size: 28px;
}
.form {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
p {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
