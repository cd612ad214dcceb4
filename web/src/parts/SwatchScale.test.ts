import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import SwatchScale from './SwatchScale.vue'

const levels = [4, 4.5, 5, 5.5, 6]
const scale = (more: object = {}) =>
  mount(SwatchScale, {
    props: {
      legend: 'Level now',
      levels,
      hexes: ['#111111', '#222222', '#333333', '#444444', '#eeeeee'],
      undertones: ['red', 'red-orange', 'red-orange', 'orange', 'orange'],
      modelValue: null,
      ...more,
    },
  })

describe('the scale of swatches', () => {
  it('is a named group of radios that say level and undertone', () => {
    const radios = scale().findAll('input[type=radio]')
    expect(radios.map((r) => r.attributes('aria-label'))).toEqual([
      '4, red',
      '4.5, red-orange',
      '5, red-orange',
      '5.5, orange',
      '6, orange',
    ])
    expect(scale().get('legend').text()).toBe('Level now')
  })
  it('tells the level that was picked', async () => {
    const wrapper = scale()
    await wrapper.findAll('input')[3]!.setValue()
    expect(wrapper.emitted('update:modelValue')).toEqual([[5.5]])
  })
  it('lays halves between the whole levels and shuts what is too low', () => {
    const wrapper = scale({ least: 5 })
    const labels = wrapper.findAll('label')
    expect(labels.map((l) => l.attributes('style'))).toEqual([
      expect.stringContaining('grid-column: 1 / span 2'),
      expect.stringContaining('grid-column: 2 / span 2'),
      expect.stringContaining('grid-column: 3 / span 2'),
      expect.stringContaining('grid-column: 4 / span 2'),
      expect.stringContaining('grid-column: 5 / span 2'),
    ])
    expect(wrapper.findAll('input:disabled')).toHaveLength(2)
  })
})
