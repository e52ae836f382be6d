import { FocusScope } from 'reka-ui'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { createApp, h, nextTick, ref } from 'vue'
import { keepFocusGoneOn } from './focus-given-back'

describe('a box that closes', () => {
  let end = () => {}
  beforeEach(() => {
    document.body.innerHTML = '<button id="opens">Choose</button><input id="elsewhere"><div id="app"></div>'
    end = keepFocusGoneOn(document)
  })
  afterEach(() => end())
  const at = () => document.activeElement?.id
  const turn = async () => {
    await nextTick()
    await new Promise(resolve => setTimeout(resolve, 5))
  }
  /** Opens a box from the button, does something, and closes it. */
  async function around(meanwhile: () => void) {
    const isOpen = ref(true)
    document.getElementById('opens')!.focus()
    const app = createApp({ render: () => (isOpen.value ? h(FocusScope, null, () => h('button', { id: 'inside' }, 'Ring')) : null) })
    app.mount('#app')
    await turn()
    expect(at()).toBe('inside')
    meanwhile()
    isOpen.value = false
    await turn()
    app.unmount()
  }

  it('gives the focus back to what opened it', async () => {
    await around(() => {})
    expect(at()).toBe('opens')
  })

  it('leaves it where somebody has gone meanwhile', async () => {
    await around(() => document.getElementById('elsewhere')!.focus())
    expect(at()).toBe('elsewhere')
  })
})
