import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import * as account from '../api/account'
import * as calls from '../api/afterwards'
import { ApiError } from '../api/client'
import DayWaits from '../parts/DayWaits.vue'
import FindBox from '../parts/FindBox.vue'
import NextVisit from '../parts/NextVisit.vue'
import PhotoShelf from '../parts/PhotoShelf.vue'
import { useNotices } from '../stores/notices'
import ClientFacts from './ClientFacts.vue'
import EraseSheet from './EraseSheet.vue'
import Exchange from './Exchange.vue'
import Links from './Links.vue'
import Members from './Members.vue'
import Numbers from './Numbers.vue'
import ProductSheet from './ProductSheet.vue'
import Request from './Request.vue'
import Shelf from './Shelf.vue'

const push = vi.fn()
vi.mock('vue-router', () => ({
  RouterLink: { props: ['to'], template: '<a><slot /></a>' },
  useRouter: () => ({ push }),
  useRoute: () => ({ params: { secret: 'sesame' } }),
}))
const { answers, changeClient } = vi.hoisted(() => ({
  answers: {} as Record<string, unknown>,
  changeClient: vi.fn(),
}))
vi.mock('../api/queries', () => ({
  changeClient,
  queries: {
    session: () => ({ queryKey: ['session'], queryFn: () => Promise.resolve({ role: 'owner' }), retry: false }),
  },
}))
vi.mock('../api/account', () => ({
  accounts: { invitations: () => ({ queryKey: ['invitations'], queryFn: () => Promise.resolve([]), retry: false }) },
  ...Object.fromEntries(
    ['invite', 'makeReset', 'takeInvitationBack'].map((n) => [n, vi.fn(() => Promise.resolve({}))]),
  ),
}))
vi.mock('../api/afterwards', () => {
  const query = (name: string) => () => ({
    queryKey: [name],
    queryFn: () => {
      const found = answers[name]
      if (found instanceof Error) throw found
      return Promise.resolve(structuredClone(found))
    },
    retry: false,
  })
  const names = [
    'history',
    'next',
    'search',
    'week',
    'stock',
    'learning',
    'members',
    'eyes',
    'links',
    'studio',
    'requestForm',
  ]
  const does = [
    'startAgain',
    'cancelVisit',
    'noteReminder',
    'addPhoto',
    'removePhoto',
    'eraseClient',
    'previewClients',
    'takeClients',
    'takeArchive',
  ]
  const more = ['readClientsCsv', 'makeLink', 'revokeLink', 'changeMember', 'carryLearnt', 'undoLearnt']
  const rest = [
    'takeShelfOut',
    'previewShelf',
    'bringShelfIn',
    'addProduct',
    'changeProduct',
    'removeProduct',
    'sendRequest',
  ]
  return {
    afterwards: Object.fromEntries(names.map((n) => [n, query(n)])),
    ...Object.fromEntries([...does, ...more, ...rest].map((n) => [n, vi.fn(() => Promise.resolve({}))])),
  }
})
vi.mock('../parts/Sheet.vue', () => ({
  default: { props: ['isOpen', 'title'], template: '<section v-if="isOpen"><h2>{{ title }}</h2><slot /></section>' },
}))

const refused = (detail: string) => new ApiError({ title: 'x', status: 422, code: 'value_out_of_limit', detail })
const show = async (view: Component, props: Record<string, unknown> = {}) => {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const wrapper = mount(view, {
    props,
    global: { plugins: [[VueQueryPlugin, { queryClient: client }]], stubs: { RouterLink: true } },
  })
  await flushPromises()
  return wrapper
}
const button = (wrapper: Awaited<ReturnType<typeof show>>, text: string) => {
  const found = wrapper.findAll('button').find((b) => b.text().startsWith(text))
  if (!found) throw new Error(`no button ${text}`)
  return found
}
const give = async (wrapper: Awaited<ReturnType<typeof show>>, selector: string, ...files: File[]) => {
  const input = wrapper.get(selector)
  Object.defineProperty(input.element, 'files', { value: files, configurable: true })
  await input.trigger('change')
  await flushPromises()
}
const said = () => useNotices().list.map((n) => n.text)

beforeEach(() => {
  setActivePinia(createPinia())
  vi.clearAllMocks()
})

const proposal = {
  on: '2026-03-29',
  regrowth_mm: 11.2,
  remind_on: '2026-03-15',
  reason: 'Just before the regrowth is longer than 12 mm',
  reminder: 'Please use no violet shampoo.',
  expected_min: 182,
}

describe('the next visit', () => {
  beforeEach(() => (answers.next = { proposal, formulas: [], booked: [], closed: [] }))
  it('is proposed with its reason, chair time and reminder', async () => {
    const wrapper = await show(NextVisit, { serviceId: 's', clientId: 'c' })
    expect(wrapper.text()).toContain('Sunday 29 March')
    expect(wrapper.text()).toContain('3 h 02')
    expect(wrapper.text()).toContain('no violet shampoo')
    expect((wrapper.get('#next-day').element as HTMLInputElement).value).toBe('2026-03-29')
  })
  it('is booked for the quarter hours it needs, from this service', async () => {
    vi.mocked(calls.startAgain).mockResolvedValue({ service_id: 'n', starts_at: '2026-03-29T09:00:00Z' })
    const wrapper = await show(NextVisit, { serviceId: 's', clientId: 'c' })
    await wrapper.get('#next-time').setValue('09:00')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(calls.startAgain).toHaveBeenCalledWith('c', {
      starts_at: new Date('2026-03-29T09:00').toISOString(),
      booked_min: 195,
      after: 's',
    })
    expect(said()[0]).toContain('Booked for')
  })
  it('says why it is not on the usual day, and when a day that is chosen is closed', async () => {
    const moved = { ...proposal, moved: 'The studio is closed on 5 April' }
    answers.next = { proposal: moved, formulas: [], booked: [], closed: ['2026-04-05'] }
    const wrapper = await show(NextVisit, { serviceId: 's', clientId: 'c' })
    expect(wrapper.text()).toContain('The studio is closed on 5 April.')
    expect(wrapper.find('[role=status]').exists()).toBe(false)
    await wrapper.get('#next-day').setValue('2026-04-05')
    expect(wrapper.get('[role=status]').text()).toBe('The studio is closed that day.')
  })
  it('is taken back from the notice, or from the list', async () => {
    answers.next = { proposal, formulas: [], booked: [{ service_id: 'b', starts_at: '2026-03-29T09:00:00Z' }], closed: [] } // prettier-ignore
    vi.mocked(calls.cancelVisit).mockResolvedValue({ could_come: [] } as never)
    vi.mocked(calls.startAgain).mockResolvedValue({ service_id: 'n', starts_at: '2026-03-29T09:00:00Z' })
    const wrapper = await show(NextVisit, { serviceId: 's', clientId: 'c' })
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    useNotices().list[0]!.undo!()
    await button(wrapper, 'Cancel it').trigger('click')
    await flushPromises()
    expect(vi.mocked(calls.cancelVisit).mock.calls).toEqual([['n'], ['b']])
  })
  it('says what was refused and stays', async () => {
    vi.mocked(calls.startAgain).mockRejectedValue(refused('starts_at: must be later.'))
    const wrapper = await show(NextVisit, { serviceId: 's', clientId: 'c' })
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(said()).toEqual(['starts_at: must be later.'])
    expect(wrapper.text()).toContain('Sunday 29 March')
  })
})

describe('what waits for the desk', () => {
  const due = { service_id: 'v', client_name: 'Odile', starts_at: '2026-03-29T09:00:00Z', text: 'No violet shampoo.' }
  it('is nothing to see when nothing waits', async () => {
    expect((await show(DayWaits, { requests: [], reminders: [] })).text()).toBe('')
  })
  it('notes a reminder, and takes it back', async () => {
    const wrapper = await show(DayWaits, { requests: [{ ...due, client_name: 'Nia' }], reminders: [due] })
    expect(wrapper.text()).toContain('Request, Nia:')
    await button(wrapper, 'Reminded').trigger('click')
    await flushPromises()
    useNotices().list[0]!.undo!()
    expect(vi.mocked(calls.noteReminder).mock.calls).toEqual([
      ['v', true],
      ['v', false],
    ])
  })
  it('shows the text when it cannot be copied', async () => {
    const wrapper = await show(DayWaits, { requests: [], reminders: [due] })
    await button(wrapper, 'Copy the text').trigger('click')
    await flushPromises()
    expect(said()).toEqual(['No violet shampoo.'])
  })
})

describe('photos', () => {
  it('are sent one after another; what was refused is said, and the rest asked for anew', async () => {
    const wrapper = await show(PhotoShelf, { serviceId: 's', photos: [] })
    expect(wrapper.text()).toContain('None yet')
    await give(wrapper, 'input[aria-label="Add photos, after"]', new File(['a'], 'a.jpg'), new File(['b'], 'b.jpg'))
    expect(vi.mocked(calls.addPhoto).mock.calls.map((c) => c[2])).toEqual(['after', 'after'])
    expect(said()).toEqual(['2 photos added.'])
    vi.mocked(calls.addPhoto).mockRejectedValueOnce(refused('photo: must be a picture.'))
    await give(wrapper, 'input[aria-label="Add photos, before"]', new File(['x'], 'x.txt'))
    expect(said()).toContain('photo: must be a picture.')
    expect(wrapper.emitted('changed')).toHaveLength(2)
  })
})

describe('finding', () => {
  it('asks once two letters stand still, and says when nothing is there', async () => {
    vi.useFakeTimers()
    answers.search = { clients: [], services: [] }
    const wrapper = await show(FindBox)
    await wrapper.get('input').setValue('z')
    await vi.advanceTimersByTimeAsync(200)
    expect(wrapper.text()).not.toContain('Nothing has')
    await wrapper.get('input').setValue('zo')
    await vi.advanceTimersByTimeAsync(200)
    await flushPromises()
    expect(wrapper.text()).toContain('Nothing has “zo”')
    await wrapper.get('input').trigger('keydown', { key: 'Escape' })
    await vi.advanceTimersByTimeAsync(200)
    expect(wrapper.text()).not.toContain('Nothing has')
    vi.useRealTimers()
  })
})

const product = {
  key: 'k',
  kind: 'toner',
  name: 'Fog 9',
  stock_g: 40,
  low_g: 60,
  price_per_g: 0.14,
  is_low: true,
  hex: '#aaa299',
  level: 9,
  developer_parts: 1.5,
  label_min_min: 2,
  label_max_min: 20,
  developer_volume: 7,
  is_oxidative: true,
  patch_test_wait_h: 48,
  dyes: { violet: 0.6, blue: 0.4 },
}

describe('the shelf', () => {
  it('lists what to order, what is left and what is not counted', async () => {
    const chalk = { ...product, key: 'c', kind: 'lightener', name: 'Chalk', is_low: false, stock_g: null, hex: null }
    const spilt = {
      ...product,
      key: 'd',
      kind: 'developer',
      name: 'Strong',
      volume_strength: 30,
      is_low: false,
      stock_g: -4,
    }
    answers.stock = { currency: '€', products: [product, chalk, spilt] }
    const wrapper = await show(Shelf)
    expect(wrapper.get('[aria-labelledby=low]').text()).toBe('To orderFog 9 40 g left')
    expect(button(wrapper, 'Chalk').text()).toContain('not counted')
    expect(button(wrapper, 'Strong').text()).toContain('count it again')
    expect(button(wrapper, 'Fog 9').text()).toContain('14.00 € / 100 g')
  })
  it('sends a product in its own units and only its own fields', async () => {
    const wrapper = await show(ProductSheet, { product: null, adding: null, currency: '€' })
    await wrapper.setProps({ product: product as never })
    expect((wrapper.get('#p-dye-violet').element as HTMLInputElement).value).toBe('60')
    await wrapper.get('#p-price').setValue('16')
    await wrapper.get('#p-dye-violet').setValue('50')
    expect(wrapper.text()).toContain('together 90, must be 100')
    await wrapper.get('#p-dye-blue').setValue('50')
    expect(wrapper.text()).not.toContain('together')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    const [kind, key, body] = vi.mocked(calls.changeProduct).mock.calls[0]!
    expect([kind, key]).toEqual(['toner', 'k'])
    expect(body).toMatchObject({ price_per_g: 0.16, dyes: { violet: 0.5, blue: 0.5 }, stock_g: 40, level: 9 })
    expect(body).not.toHaveProperty('max_volume')
    expect(wrapper.emitted('changed')).toHaveLength(1)
  })
  it('keeps the sheet open when a value is refused', async () => {
    vi.mocked(calls.addProduct).mockRejectedValueOnce(refused('volume_strength: must be from 0.5 to 40.'))
    const wrapper = await show(ProductSheet, { product: null, adding: null, currency: '€' })
    await wrapper.setProps({ adding: 'developer' })
    await wrapper.get('#p-name').setValue('Very strong')
    await wrapper.get('#p-volume_strength').setValue('60')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(calls.addProduct).toHaveBeenCalledWith('developer', expect.objectContaining({ volume_strength: 60 }))
    expect(wrapper.emitted('changed')).toBeUndefined()
    expect(said()).toEqual(['volume_strength: must be from 0.5 to 40.'])
  })
})

describe('the numbers', () => {
  const learnt = {
    name: 'Chalk',
    key: 'k',
    lanes: 21,
    services: 4,
    extent: 0.9,
    extent_spread: 1.04,
    rate: 1,
    rate_spread: 1.1,
  }
  const numbers = (more: object) => ({
    services: 4,
    lanes: 21,
    on_target_share: 0.905,
    walls_passed: 1,
    mixed_g: 100,
    wasted_g: 20,
    paces: [],
    by_hair: [],
    swept: [{ key: 'k', model: ['#432', '#a87'], learnt: ['#432', '#976'] }],
    products: [
      { key: 'k', name: 'Chalk', lift_factor: 1, rate_factor: 1, lift_factor_before: null, rate_factor_before: null, proposed_factor: 0.93, proposed_rate: 0.9, kinds: [], learnt, ...more }, // prettier-ignore
    ],
  })
  it('say how a product lifts and carry it in with one tap, and back', async () => {
    answers.learning = numbers({})
    vi.mocked(calls.carryLearnt).mockResolvedValue(
      numbers({ lift_factor: 0.93, rate_factor: 0.9, lift_factor_before: 1, rate_factor_before: 1 }) as never,
    )
    vi.mocked(calls.undoLearnt).mockResolvedValue(numbers({}) as never)
    const wrapper = await show(Numbers)
    expect(wrapper.text()).toContain('10 % less far, as quick')
    expect(wrapper.text()).toContain('91 %')
    await button(wrapper, 'Plan with 0.93 and 0.90').trigger('click')
    await flushPromises()
    expect(wrapper.text()).toContain('0.93 as far')
    expect(said()).toEqual(['Chalk is planned by what was learnt.'])
    await button(wrapper, 'Back to 1.00 and 1.00').trigger('click')
    await flushPromises()
    expect(wrapper.text()).toContain('1.00 as far')
  })
  it('say what is missing while nothing is filed', async () => {
    answers.learning = { ...numbers({}), services: 0 }
    expect((await show(Numbers)).text()).toContain('Nothing is filed yet')
  })
})

describe('the studio', () => {
  const member = { id: 7, name: 'Dov Hartig', username: 'dov', role: 'technician', is_active: true, pace_min_per_foil: null, is_you: false } // prettier-ignore
  it('shows members without a way to change them to who may not', async () => {
    answers.members = [member]
    const wrapper = await show(Members, { isLocked: true })
    expect(wrapper.text()).toContain('Dov Hartig')
    expect(wrapper.findAll('button')).toHaveLength(0)
  })
  it('puts a member out, hands a reset out once, and says what was refused', async () => {
    answers.members = [member]
    const wrapper = await show(Members, { isLocked: false })
    await button(wrapper, 'Suspend').trigger('click')
    await flushPromises()
    expect(calls.changeMember).toHaveBeenCalledWith(7, { is_active: false })
    vi.mocked(account.makeReset).mockResolvedValueOnce({ path: '/reset/MQ/a-b' })
    await button(wrapper, 'New password').trigger('click')
    await flushPromises()
    expect(account.makeReset).toHaveBeenCalledWith(7)
    expect(wrapper.text()).toContain('/reset/MQ/a-b')
    await button(wrapper, 'Invite someone').trigger('click')
    await wrapper.get('#m-name').setValue('Tove Lind')
    vi.mocked(account.invite).mockRejectedValueOnce(refused('email: no address.'))
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(account.invite).toHaveBeenLastCalledWith({ for_name: 'Tove Lind', email: '', role: 'assistant' })
    expect(said()).toContain('email: no address.')
  })
  it('shows a secret link once and revokes it', async () => {
    answers.links = [{ id: 'l', kind: 'feed', by_name: 'Maren', created_at: '2026-03-01T10:00:00Z', revoked_at: null }]
    vi.mocked(calls.makeLink).mockResolvedValue({ path: '/api/feed/abc.ics' } as never)
    const wrapper = await show(Links, { isLocked: false })
    await button(wrapper, 'Make a diary feed').trigger('click')
    await flushPromises()
    expect(wrapper.text()).toContain('/api/feed/abc.ics')
    await button(wrapper, 'Revoke').trigger('click')
    await flushPromises()
    expect(calls.revokeLink).toHaveBeenCalledWith('l')
    expect(wrapper.text()).not.toContain('abc.ics')
  })
  it('previews a table and lets it in only when every line is good', async () => {
    const wrapper = await show(Exchange, { isLead: true, isOwner: false })
    expect(wrapper.text()).not.toContain('The whole studio')
    const bad = { line: 3, column: 'name', limit: 'given', value: '' }
    vi.mocked(calls.previewClients).mockResolvedValueOnce({ count: 1, names: ['Ada'], known: [], problems: [bad] })
    const file = new File(['name\nAda'], 'c.csv')
    file.arrayBuffer = () => Promise.resolve(new TextEncoder().encode('name\nAda').buffer as ArrayBuffer)
    await give(wrapper, 'input[accept*=csv]', file)
    await vi.waitFor(() => expect(wrapper.text()).toContain('Line 3, name'))
    expect(button(wrapper, 'Bring them in').attributes('disabled')).toBeDefined()
    vi.mocked(calls.previewClients).mockResolvedValueOnce({ count: 1, names: ['Ada'], known: [], problems: [] })
    vi.mocked(calls.takeClients).mockResolvedValueOnce({ clients: 1 })
    await give(wrapper, 'input[accept*=csv]', file)
    await vi.waitFor(() => expect(button(wrapper, 'Bring them in').attributes('disabled')).toBeUndefined())
    await button(wrapper, 'Bring them in').trigger('click')
    await flushPromises()
    expect(calls.takeClients).toHaveBeenCalledWith('name\nAda')
    expect(said()).toEqual(['1 clients brought in.'])
  })
})

describe('a client', () => {
  const card = { id: 'c', name: 'Odile', birth_date: null, notes: '', reacts_to_oxidative: null, patch_test_placed_at: null, patch_test_result: 'not_done', growth_mm_per_month: null, is_hair_piece: false, language: '', erased_at: null, visits: [] } // prettier-ignore
  it('keeps an own growth as a number, and none as none', async () => {
    const wrapper = await show(ClientFacts, { card, usualGrowth: 12 })
    expect(wrapper.get('#c-growth').attributes('placeholder')).toBe('12')
    await wrapper.get('form').trigger('submit')
    expect(changeClient.mock.lastCall![1]).toMatchObject({ growth_mm_per_month: null, birth_date: null })
    await wrapper.get('#c-growth').setValue('14.5')
    await wrapper.get('form').trigger('submit')
    expect(changeClient.mock.lastCall![1]).toMatchObject({ growth_mm_per_month: 14.5 })
  })
  it('is erased only once the name was typed', async () => {
    const wrapper = await show(EraseSheet, { isOpen: true, clientId: 'c', name: 'Odile' })
    const gone = button(wrapper, 'Erase for good')
    await wrapper.get('#erase-name').setValue('Odil')
    expect(gone.attributes('disabled')).toBeDefined()
    await wrapper.get('#erase-name').setValue('Odile ')
    expect(gone.attributes('disabled')).toBeUndefined()
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(calls.eraseClient).toHaveBeenCalledWith('c', 'Odile ')
    expect(wrapper.emitted('erased')).toHaveLength(1)
  })
})

describe('a request', () => {
  it('says that a revoked link does not work', async () => {
    answers.requestForm = refused('not there')
    expect((await show(Request)).text()).toContain('does not work any more')
  })
  it('is sent once, keeps what was typed when refused, and tells the time it needs', async () => {
    answers.requestForm = { studio_name: 'The hair room', hexes: Array(10).fill('#876543'), server_now: '', closed: [] } // prettier-ignore
    const wrapper = await show(Request)
    expect(wrapper.text()).toContain('The hair room')
    await wrapper.get('#r-name').setValue('Nia')
    await wrapper.get('#r-day').setValue('2026-04-01')
    vi.mocked(calls.sendRequest).mockRejectedValueOnce(refused('starts_at: must be to come.'))
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(wrapper.get('[role=alert]').text()).toContain('must be to come')
    expect((wrapper.get('#r-name').element as HTMLInputElement).value).toBe('Nia')
    const taken = { starts_at: '2026-04-01T10:00:00Z', slot_min: 120, expected_min: 245 }
    vi.mocked(calls.sendRequest).mockResolvedValueOnce(taken)
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(calls.sendRequest).mock.lastCall![1]).toMatchObject({
      name: 'Nia',
      starts_at: new Date('2026-04-01T10:00').toISOString(),
      slot_min: '120',
    })
    expect(wrapper.text()).toContain('4 h 05 min')
    expect(wrapper.text()).toContain('longer than the time you asked for')
  })
})
