/** Who is signed in. */
export interface User {
  id: string
  name: string
  email: string
  role: 'admin' | 'editor' | 'viewer'
}

/** The session of this browser: who is signed in, and what they may do. */
export function useUserSession() {
  const user = useState<User | null>('user', () => null)
  return {
    user,
    loggedIn: computed(() => user.value !== null),
    /** Whether this person may change decks and all that belongs to them. */
    canEdit: computed(() => user.value?.role === 'admin' || user.value?.role === 'editor'),
    isAdmin: computed(() => user.value?.role === 'admin'),
    /** Asks the server anew. */
    async fetch() {
      // Every page waits for it: an answer that does not come is asked for once more, and no page stays empty for it.
      const answer = await $fetch<{ user: User }>('/api/session', { timeout: 8000, retry: 1 }).catch((error: { status?: number }) => {
        // Signed out. All else leaves what is known: a server that is away has signed nobody out.
        if (error.status === 401) return null
        return undefined
      })
      if (answer !== undefined) user.value = answer?.user ?? null
    },
    /** Signs out. */
    async clear() {
      await $fetch('/api/session', { method: 'DELETE' })
      user.value = null
    },
  }
}
