import { beforeEach, describe, expect, it, vi } from 'vitest'
import { keepFocus, successor } from './focus'

/** jsdom lays nothing out: what is in the document counts as seen. */
beforeEach(() => {
  Element.prototype.getClientRects = function () {
    return (this.isConnected ? [{}] : []) as unknown as DOMRectList
  }
  document.body.innerHTML = `<main id="main"><section data-next id="next"><button id="act">Rinsed</button></section>
    <ul><li id="row"><button id="a">A</button><button id="b">B</button></li></ul></main>`
})
const by = (id: string) => document.getElementById(id)!

describe('where the focus goes when what had it is gone', () => {
  it('stays where it can', () => {
    expect(successor(by('a'), [], document)).toBe(by('a'))
  })
  it('goes to a neighbour', () => {
    const [a, row] = [by('a'), by('row')]
    a.remove()
    expect(successor(a, [row], document)).toBe(by('b'))
  })
  it('goes to where the next act is told, never to its button', () => {
    const act = by('act') as HTMLButtonElement
    act.disabled = true
    expect(successor(act, [by('next')], document)).toBe(by('next'))
    const gone = document.createElement('button')
    expect(successor(gone, [], document)).toBe(by('next'))
  })
  it('is given back to what opened a sheet', async () => {
    vi.useFakeTimers()
    const stop = keepFocus(document)
    by('b').focus()
    const sheet = document.createElement('div')
    sheet.setAttribute('role', 'dialog')
    sheet.innerHTML = '<button id="in">In</button>'
    document.body.append(sheet)
    by('in').focus()
    sheet.remove()
    await Promise.resolve()
    vi.advanceTimersByTime(200)
    expect(document.activeElement).toBe(by('b'))
    stop()
    vi.useRealTimers()
  })
})
