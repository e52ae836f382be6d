/** Knows who is signed in before any page asks. */
export default defineNuxtPlugin({ name: 'session', enforce: 'pre', setup: () => useUserSession().fetch() })
