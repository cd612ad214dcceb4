import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ApiError } from '../api/client'
import CautionList from './CautionList.vue'
import Choice from './Choice.vue'
import HairBundle from './HairBundle.vue'
import HeadMap from './HeadMap.vue'
import StepStrand from './StepStrand.vue'
import Wait from './Wait.vue'

vi.mock('vue-router', () => ({ useRoute: () => ({ name: 'plan' }), RouterLink: RouterLinkStub }))

describe('the head map', () => {
  const map = (more: object = {}) =>
    mount(HeadMap, { props: { owners: {}, fills: { crown: '#513727' }, selected: [], ...more } })
  it('shows each zone in every view it can be seen from, in its colour', () => {
    const crowns = map().findAll('path[fill="#513727"]')
    expect(crowns).toHaveLength(4)
    expect(map().findAll('path[fill="url(#unread)"]').length).toBeGreaterThan(12)
  })
  it('knows all zones of the usual head', async () => {
    const wrapper = map()
    for (const path of wrapper.findAll('path[stroke-width="2.4"]')) await path.trigger('click')
    expect(new Set(wrapper.emitted('toggle')!.map((e) => e[0])).size).toBe(12)
  })
  it('outlines what is selected and is still once locked', async () => {
    const wrapper = map({ selected: ['crown'], isLocked: true })
    expect(wrapper.findAll('path[stroke="var(--signal)"]')).toHaveLength(4)
    await wrapper.get('path[stroke-width="2.4"]').trigger('click')
    expect(wrapper.emitted('toggle')).toBeUndefined()
  })
})

describe('the strand of steps', () => {
  const strand = (step: string) =>
    mount(StepStrand, { props: { serviceId: 's', step, fromHex: '#111', toHex: '#eee' } })
  it('lets one go back to steps reached and no further', () => {
    expect(strand('chair').findAllComponents(RouterLinkStub)).toHaveLength(3)
    expect(strand('consultation').findAllComponents(RouterLinkStub)).toHaveLength(1)
  })
  it('marks the step that is open', () => {
    expect(strand('chair').get('[aria-current=page]').text()).toBe('Plan')
  })
})

describe('cautions', () => {
  const caution = (code: string, severity: string, by: string | null = null) => ({
    caution: { code, severity, title: `Title ${code}`, advice: 'Advice' },
    acknowledged_by: by,
    acknowledged_at: by ? '2026-03-01T09:00:00Z' : null,
  })
  it('offers no button for a block, one for an open warning, and a name for a closed one', async () => {
    const cautions = [caution('a', 'block'), caution('b', 'warn'), caution('c', 'warn', 'Maren')]
    const wrapper = mount(CautionList, { props: { cautions: cautions as never, isLocked: false } })
    expect(wrapper.findAll('button')).toHaveLength(1)
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('acknowledge')).toEqual([[['b']]])
    expect(wrapper.text()).toContain('✓ Maren')
    expect(wrapper.text()).toContain('cannot be acknowledged away')
  })
  it('says what will stand here when there is nothing', () => {
    expect(mount(CautionList, { props: { cautions: [], isLocked: false } }).text()).toContain(
      'as soon as a zone is read',
    )
  })
})

describe('small parts', () => {
  it('a choice is a named group of radios', async () => {
    const options = [
      { value: 'fine', name: 'Fine' },
      { value: 'coarse', name: 'Coarse' },
    ]
    const wrapper = mount(Choice, { props: { legend: 'Strand', options, modelValue: 'fine' } })
    expect(wrapper.findAll('input').map((i) => (i.element as HTMLInputElement).checked)).toEqual([true, false])
    await wrapper.findAll('input')[1]!.setValue()
    expect(wrapper.emitted('update:modelValue')).toEqual([['coarse']])
  })
  it('a bundle has a strand and a tip for each zone, or dashes', () => {
    const bundle = (now: string[]) =>
      mount(HairBundle, { props: { now, target: now.map(() => '#eee'), label: 'Zones' } })
    const strands = bundle(['#111', '#222']).findAll('linearGradient')
    expect(strands).toHaveLength(2)
    expect(strands[1]!.findAll('stop').map((x) => x.attributes('stop-color'))).toEqual([
      '#222',
      '#222',
      '#222',
      '#eee',
      '#eee',
    ])
    expect(bundle([]).findAll('line')).toHaveLength(8)
  })
  it('waiting says what for, failing says why and lets one try again', async () => {
    expect(mount(Wait, { props: { isLoading: true, error: null, what: 'The plan' } }).text()).toContain(
      'The plan is being worked out',
    )
    const error = new ApiError({
      title: '',
      status: 503,
      code: 'no_database',
      detail: 'The database does not answer.',
    } as never)
    const wrapper = mount(Wait, { props: { isLoading: false, error, what: 'The plan' } })
    expect(wrapper.get('[role=alert]').text()).toContain('The database does not answer.')
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('retry')).toHaveLength(1)
  })
})
