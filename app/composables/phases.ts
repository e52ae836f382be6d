import type { Component } from 'vue'

/** The phases of the work on a deck, in their order. */
export const phases = [
  { name: 'outline', label: 'Outline', description: 'What you will say' },
  { name: 'compose', label: 'Compose', description: 'How it looks' },
  { name: 'time', label: 'Time', description: 'When it happens' },
  { name: 'check', label: 'Check', description: 'What could go wrong' },
  { name: 'deliver', label: 'Deliver', description: 'How it reaches people' },
] as const
export type PhaseName = (typeof phases)[number]['name']

const loaders: Readonly<Record<PhaseName, () => Promise<{ default: Component }>>> = {
  outline: () => import('~/components/phases/OutlinePhase.vue'),
  compose: () => import('~/components/phases/ComposePhase.vue'),
  time: () => import('~/components/phases/TimePhase.vue'),
  check: () => import('~/components/phases/CheckPhase.vue'),
  deliver: () => import('~/components/phases/DeliverPhase.vue'),
}

/** What opens within phases and over them, and what reads and writes what is brought or saved. */
const within: readonly (() => Promise<unknown>)[] = [
  () => import('~/components/outline/SlideOverview.vue'),
  () => import('~/components/outline/LayoutWays.vue'),
  () => import('~/components/outline/OtherDeck.vue'),
  () => import('~/components/outline/CopySlides.vue'),
  () => import('~/components/outline/StarterShelf.vue'),
  () => import('~/components/editor/DeckSettingsForm.vue'),
  () => import('~/components/editor/RundownStrip.vue'),
  () => import('~/components/editor/TheTour.vue'),
  () => import('~/components/TheKeys.vue'),
  () => import('~/components/TheHelp.vue'),
  () => import('#core/checks'),
  () => import('#core/formats/outline'),
  () => import('#core/formats/deck-file'),
]

/** A phase's component; null where it could not be fetched. */
const load = async (name: PhaseName): Promise<Component | null> => (await fetched(loaders[name]))?.default ?? null

/** The phase that the address names, and what is shown of it: the one before stays until it is here. */
export function usePhases() {
  const route = useRoute()
  const router = useRouter()
  const phase = computed<PhaseName>(() => phases.find(({ name }) => name === route.query.phase)?.name ?? 'outline')
  const shown = shallowRef<{ name: PhaseName; component: Component } | null>(null)
  /** What the phase is called that could not be brought here. */
  const lacking = ref<string | null>(null)

  async function show() {
    const name = phase.value
    const component = await load(name)
    // Another one may have been asked for meanwhile.
    if (phase.value !== name) return
    if (component) shown.value = { name, component }
    lacking.value = component ? null : (phases.find(one => one.name === name)?.label ?? name)
  }
  watch(phase, show, { immediate: true })

  return {
    phase,
    shown,
    lacking,
    go: (name: string) => void router.replace({ query: { ...route.query, phase: name } }),
    again: () => void show(),
    /** Brings all phases here and what opens in them, so that each opens at once, and while the server is away too. */
    bringAll: () => Promise.all([...phases.map(({ name }) => load(name)), ...within.map(fetched)]),
  }
}
