import { reactive, ref, type Ref } from 'vue'

/** What Nuxt does for stores and composables, as far as they use it, so that tests can see what was asked of it. */

const states = new Map<string, Ref>()
export function useState<T>(key: string, first: () => T): Ref<T> {
  if (!states.has(key)) states.set(key, ref(first()))
  return states.get(key) as Ref<T>
}

export interface Toast {
  title: string
  actions?: { label: string; onClick: () => void }[]
}
/** What people were told, in order. */
export const told: Toast[] = []
export const useToast = () => ({ add: (toast: Toast) => void told.push(toast) })

/** Where the application was sent, in order. */
export const visited: unknown[] = []
export const navigateTo = (to: unknown) => {
  visited.push(to)
  return Promise.resolve()
}

export const route = reactive({ fullPath: '/', query: {} as Record<string, string> })
export const useRoute = () => route
export const useRouter = () => ({
  currentRoute: { value: route },
  replace: ({ query }: { query: Record<string, string> }) => {
    route.query = query
    return Promise.resolve()
  },
})

/** As at the start of a test: nobody was told anything. */
export function forgetNuxt() {
  states.clear()
  told.length = visited.length = 0
  route.query = {}
}
