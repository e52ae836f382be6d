<script setup lang="ts">
import { initialsOf } from '#core/values'

const { user: person, clear } = useUserSession()
const initials = computed(() => initialsOf(person.value?.name ?? ''))
const rooms = [
  { to: '/', label: 'Decks' },
  { to: '/media', label: 'Media' },
  { to: '/data', label: 'Data' },
  { to: '/screens', label: 'Screens' },
  { to: '/people', label: 'People' },
]
const route = useRoute()
const about = computed<HelpName>(() =>
  route.path === '/'
    ? 'decks'
    : ((['media', 'data', 'screens', 'people', 'account'] as const).find(name => route.path.startsWith(`/${name}`)) ?? 'decks'),
)
const color = useColorMode()
const menu = computed(() => [
  [{ label: `${person.value?.name}, ${person.value?.role}`, type: 'label' as const }],
  [
    {
      label: color.value === 'dark' ? 'Light room' : 'Dark room',
      icon: color.value === 'dark' ? 'i-lucide-sun' : 'i-lucide-moon',
      onSelect: () => {
        color.preference = color.value === 'dark' ? 'light' : 'dark'
      },
    },
    { label: 'Your account', icon: 'i-lucide-user', to: '/account' },
    {
      label: 'Sign out',
      icon: 'i-lucide-log-out',
      onSelect: async () => {
        await clear()
        await navigateTo('/sign-in')
      },
    },
  ],
])
</script>

<template>
  <header class="bar">
    <NuxtLink to="/" class="name">
      <img src="/mark.svg" alt="" width="22" height="22" />
      Hailbank
    </NuxtLink>
    <nav aria-label="Rooms">
      <NuxtLink v-for="room in rooms" :key="room.to" :to="room.to" class="room" active-class="" exact-active-class="here">
        {{ room.label }}
      </NuxtLink>
    </nav>
    <div class="right">
      <slot />
      <HelpButton :about="about" />
      <UDropdownMenu :items="menu">
        <UButton variant="bare" class="who" :aria-label="`You: ${person?.name}`">{{ initials }}</UButton>
      </UDropdownMenu>
    </div>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 26px;
  height: 50px;
  padding: 0 16px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
.name {
  display: flex;
  align-items: center;
  gap: 9px;
  font:
    600 17px 'Bricolage Grotesque',
    sans-serif;
  color: var(--ink);
}
nav {
  display: flex;
  gap: 4px;
}
.room {
  padding: 6px 13px;
  border-radius: 8px;
  color: var(--second);
  font-weight: 500;
}
.room:hover {
  background: var(--act-wash);
}
.room.here {
  background: var(--ink);
  color: var(--panel);
}
.right {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 12px;
}
.who {
  width: 30px;
  height: 30px;
  border-radius: 50%;
  border: 0;
  background: #7d4a78;
  color: #fff;
  font: 600 12px 'Hanken Grotesk';
  cursor: pointer;
}
</style>
