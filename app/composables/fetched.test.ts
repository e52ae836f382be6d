import { describe, expect, it, vi } from 'vitest'
import { createApp, defineAsyncComponent, h, nextTick, ref } from 'vue'
import { told } from '../testing/nuxt'
import { fetched, useUnfetched } from './fetched'

/** What browsers say of a chunk that cannot be had. */
const unreachable = () => new TypeError('Failed to fetch dynamically imported module: /_nuxt/x.js')

describe('pieces of the application that are fetched late', () => {
  it('are null where they cannot be had, and any other fault is one', async () => {
    expect(await fetched(() => Promise.resolve('rules'))).toBe('rules')
    expect(await fetched(() => Promise.reject(unreachable()))).toBeNull()
    await expect(fetched(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken')
  })

  it('are told of where they do not come, and come with the next press once the server answers', async () => {
    const asked = ref(false)
    const load = vi.fn(() => Promise.reject(unreachable()))
    const Late = defineAsyncComponent<{ render: () => ReturnType<typeof h> }>({ loader: () => load(), suspensible: false })
    const page = document.createElement('div')
    const app = createApp({
      setup() {
        useUnfetched(() => (asked.value = false))
        return () => (asked.value ? h(Late) : null)
      },
    })
    app.config.warnHandler = () => {}
    app.mount(page)
    asked.value = true
    await vi.waitFor(() => expect(asked.value).toBe(false))
    expect(told.map(({ title }) => title)).toEqual(['This could not be fetched from the server. Try again when it answers.'])
    load.mockImplementation(() => Promise.resolve({ render: () => h('p', 'Starters') }) as never)
    asked.value = true
    await nextTick()
    await vi.waitFor(() => expect(page.textContent).toBe('Starters'))
    app.unmount()
  })
})
