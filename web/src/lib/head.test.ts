import { describe, expect, it } from 'vitest'
import { extent, half } from './head'

describe('halving an area', () => {
  it('finds how wide a path is', () => {
    expect(extent('M20 0 H180 V58 C150 72 50 72 20 58 Z')).toEqual({ left: 20, right: 180 })
    expect(extent('M64 42 L10 72.5 Z')).toEqual({ left: 10, right: 64 })
  })
  it('clips left and right at the middle, with a hair to spare outside', () => {
    const d = 'M20 0 H180 V58 H20 Z'
    expect(half(d, '1')).toEqual({ x: 18, width: 82 })
    expect(half(d, '2')).toEqual({ x: 100, width: 82 })
  })
})
