import { describe, expect, it } from 'vitest'
import { AFTER_MIN, BEFORE_MIN, fibre, hang, heightAt, inPlace, rowsOf, strandFibres } from './hang'

const lane = (zone_key: string, across: number, part = '') => ({ key: zone_key + part, zone_key, across })
const head = [
  lane('nape', 0.15, '.root'),
  lane('right_side', 0.8),
  lane('left_side', -0.8),
  lane('crown', -0.05),
  lane('nape', 0.15),
]
const frame = { width: 800, height: 400, left: 60, right: 40 }

describe('strands on the head', () => {
  it('hang from left to right, the parts of a zone together in their own order', () => {
    expect(inPlace(head).map((l) => l.key)).toEqual(['left_side', 'crown', 'nape.root', 'nape', 'right_side'])
  })
  it('keeps zones of one place apart by which came first', () => {
    const own = [lane('b', 0), lane('a', 0), lane('b', 0, '.ends')]
    expect(inPlace(own).map((l) => l.key)).toEqual(['b', 'b.ends', 'a'])
  })
  it('stand inside the frame, none over another, the parting over their middle', () => {
    const { columns } = hang(inPlace(head), frame)
    const edges = columns.map((c) => [c.x - c.width / 2, c.x + c.width / 2] as const)
    expect(edges[0]![0]).toBeGreaterThanOrEqual(60)
    expect(edges[4]![1]).toBeLessThanOrEqual(760.001)
    for (let i = 1; i < edges.length; i++) expect(edges[i]![0]).toBeGreaterThanOrEqual(edges[i - 1]![1] - 1e-9)
    expect(edges[0]![0] + edges[4]![1]).toBeCloseTo(2 * hang(inPlace(head), frame).parting.x)
  })
  it('are ready on one line, at one pace', () => {
    const hung = hang(head, frame)
    expect(heightAt(hung, 35, 35)).toBe(hung.ready)
    expect(heightAt(hung, 12, 12)).toBe(hung.ready)
    expect(heightAt(hung, 35, 25)).toBeCloseTo(heightAt(hung, 12, 2))
    expect(heightAt(hung, 35, 35 - BEFORE_MIN)).toBeCloseTo(hung.fall)
    expect(heightAt(hung, 35, 35 + AFTER_MIN)).toBeLessThanOrEqual(frame.height)
  })
  it('come in rows of like length, a zone in one of them', () => {
    const rows = rowsOf(inPlace(head), 3)
    expect(rows.map((r) => r.length)).toEqual([2, 3])
    expect(rowsOf(inPlace(head), 9)).toHaveLength(1)
    expect(rowsOf(inPlace(head), 1).flat()).toHaveLength(5)
  })
  it('fall straight below the parting, and stop at the head when nothing hangs yet', () => {
    const hung = hang(head, frame)
    expect(fibre(hung, hung.parting.x, 0, 300)).toMatch(/^M410\.0 6\.0C.*V300\.0$/)
    expect(fibre(hung, 200, 0, hung.fall - 20)).not.toContain('V')
  })
  it('have the same fibres each time', () => {
    expect(strandFibres(3, 40)).toEqual(strandFibres(3, 40))
    expect(strandFibres(3, 40)).not.toEqual(strandFibres(4, 40))
    expect(strandFibres(1, 2).length).toBe(5)
    for (const f of strandFibres(9, 50)) expect(Math.abs(f.aside)).toBeLessThanOrEqual(0.5)
  })
})
