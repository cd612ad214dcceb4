import { describe, expect, it } from 'vitest'
import type { EventData, EventKind } from './events'
import { at, lane, START } from '../testing'
import { type BoardLike, type WaitingAct, undoable, waitingKeys, withWaiting } from './waiting'

const act = <K extends EventKind>(kind: K, minute: number, data: EventData<K>): WaitingAct => ({
  event_id: `${kind} ${minute}`,
  service_id: 's1',
  member: 'Ada',
  kind,
  occurred_at: at(minute),
  data,
  seen: 1,
  text: kind,
})
const next = (code: string, zone_key: string, minute: number) => ({
  code,
  zone_key,
  zone_keys: [zone_key],
  title: `${code} ${zone_key}`,
  detail: '',
  due_at: at(minute),
  hex: null,
})
const top = lane({ key: 'top', name: 'Top', phase: 'waiting', started_at: at(20), zero_at: at(24), has_bowl: false }) // prettier-ignore
const board = (): BoardLike => ({
  now: at(18),
  lanes: [lane(), top],
  acts: [next('read', 'crown', 24), next('mix', 'top', 18)],
})
const seen = (acts: WaitingAct[], minute = 19) => withWaiting(board(), acts, START + minute * 60_000)

describe('acts that wait', () => {
  it('change nothing when there are none', () => {
    const before = board()
    expect(withWaiting(before, [], START)).toBe(before)
  })

  it('lead the hand on from bowl to first to last section', () => {
    const mixed = act('BowlMixed', 18, {
      zone_key: 'top',
      volume_strength: 20,
      product_g: 10,
      developer_g: 15,
      also_for: [],
      is_on: false,
    })
    const started = act('ApplicationStarted', 19, { zone_key: 'top', volume_strength: 25 })
    const finished = act('ApplicationFinished', 22, { zone_key: 'top' })
    expect(seen([mixed]).acts.map((a) => a.title)).toEqual(['Start Top', 'read crown'])
    const going = seen([mixed, started])
    expect(going.lanes[1]).toMatchObject({ phase: 'applying', started_at: at(19), zero_at: at(23) })
    expect(going.acts.map((a) => a.code)).toEqual(['finish', 'read'])
    const on = seen([mixed, started, finished], 22)
    expect(on.lanes[1]).toMatchObject({ phase: 'processing', zero_at: at(22), is_forecast: false })
    expect(on.acts.map((a) => a.code)).toEqual(['read'])
  })

  it('mix a bowl and begin in one act', () => {
    const bowl = { zone_key: 'top', volume_strength: 25, product_g: 10, developer_g: 15, also_for: [], is_on: true }
    const on = seen([act('BowlMixed', 19, bowl)])
    expect(on.lanes[1]).toMatchObject({ phase: 'applying', has_bowl: true, started_at: at(19) })
    expect(on.acts.map((a) => a.code)).toEqual(['finish', 'read'])
  })

  it('end one application and begin the next in one act', () => {
    const mixed = act('BowlMixed', 17, {
      zone_key: 'top',
      volume_strength: 20,
      product_g: 10,
      developer_g: 15,
      also_for: [],
      is_on: false,
    })
    const going = { ...board(), lanes: [{ ...board().lanes[0]!, phase: 'applying' }, board().lanes[1]!] }
    const passed = act('ApplicationStarted', 19, { zone_key: 'top', volume_strength: 25, after_key: 'crown' })
    const seen = withWaiting(going, [mixed, passed], START + 19 * 60_000)
    expect(seen.lanes.map((l) => l.phase)).toEqual(['processing', 'applying'])
    expect([...waitingKeys([passed])].sort()).toEqual(['crown', 'top'])
  })

  it('put a reading on its lane at its own minute and take the look off the list', () => {
    const read = seen([act('ReadingTaken', 18, { zone_key: 'crown', level: 7, mode: 'wiped' })])
    expect(read.lanes[0]!.readings).toMatchObject([{ minute: 12, level: 7, mode: 'wiped', hex: '#a67c49' }])
    expect(read.acts.map((a) => a.code)).toEqual(['mix'])
  })

  it('end lanes that were rinsed, alone or together', () => {
    const alone = seen([act('Rinsed', 30, { zone_key: 'crown' })])
    expect(alone.lanes[0]).toMatchObject({ phase: 'rinsed', rinsed_min: 24, end_min: 24 })
    expect(alone.acts.map((a) => a.code)).toEqual(['mix'])
    const wave = seen([act('WaveRinsed', 30, { zone_keys: ['crown'] })])
    expect(wave.lanes[0]!.phase).toBe('rinsed')
    expect([...waitingKeys([act('WaveRinsed', 30, { zone_keys: ['crown', 'top'] })])]).toEqual(['crown', 'top'])
  })

  it('leave what cannot be foreseen to the server', () => {
    const warmed = seen([act('HeatStarted', 20, { zone_key: 'crown' })])
    expect(warmed.lanes).toEqual(board().lanes)
    expect(warmed.acts).toEqual(board().acts)
  })

  it('are what Undo takes back first, whether or not the server has heard of them', () => {
    const ofBoard = { event_id: 'older', text: 'Nape: rinsed' }
    const rinsed = act('Rinsed', 30, { zone_key: 'crown' })
    const back = (event_id: string) => ({ ...act('EventVoided', 31, { event_id }), event_id: `v-${event_id}` })
    expect(undoable([], ofBoard)).toEqual(ofBoard)
    expect(undoable([rinsed], ofBoard)).toEqual({ event_id: rinsed.event_id, text: rinsed.text })
    expect(undoable([rinsed], null)?.event_id).toBe(rinsed.event_id)
    expect(undoable([rinsed, back(rinsed.event_id)], ofBoard)).toEqual(ofBoard)
    expect(undoable([rinsed, back(rinsed.event_id), back('older')], ofBoard)).toBeNull()
  })
})
