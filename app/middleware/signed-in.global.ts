/**
 * Sends who is not signed in to the sign-in page, and back again afterwards. A screen’s own page asks nobody, nor does that of a link to
 * set a password.
 */
export default defineNuxtRouteMiddleware(to => {
  const { loggedIn } = useUserSession()
  if (to.path.startsWith('/show/') || to.path === '/password') return
  if (!loggedIn.value && to.path !== '/sign-in')
    return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { then: to.fullPath } })
  if (loggedIn.value && to.path === '/sign-in') return navigateTo('/')
})
