import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { describe, expect, it, vi } from 'vitest'
import ReadResult, { type ZoneToRead } from './ReadResult.vue'

vi.mock('../api/queries', () => ({
  KEPT_MS: 1,
  queries: {
    palette: (start: number | null) => ({
      queryKey: ['palette', start],
      queryFn: async () => ({ levels: [8, 9], hexes: ['#806040', '#c0a080'], undertones: ['yellow', 'pale yellow'] }),
    }),
  },
}))
const zone = (key: string, more: Partial<ZoneToRead> = {}): ZoneToRead => ({
  key,
  name: key,
  before_level: 5,
  target_level: 8,
  ...more,
})
const opened = async () => {
  const pinia = createPinia()
  setActivePinia(pinia)
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const sheet = mount(ReadResult, {
    props: { zone: null, others: [zone('top'), zone('nape')], serviceId: 's', hasReader: false, isBusy: false },
    global: {
      plugins: [pinia, [VueQueryPlugin, { queryClient: client }] as [typeof VueQueryPlugin, object]],
      stubs: { Sheet: { template: '<div><slot /></div>' }, CameraRead: true },
    },
  })
  await sheet.setProps({ zone: zone('crown') })
  await flushPromises()
  const press = (name: string) =>
    sheet
      .findAll('button')
      .find((b) => b.text().startsWith(name))!
      .trigger('click')
  const read = () => sheet.get('[aria-label^="9"]').trigger('change')
  return { sheet, press, read }
}

describe('reading what rinsed hair became', () => {
  it('keeps what was chosen while the server tells the same part anew', async () => {
    const { sheet, press, read } = await opened()
    await press('All the rest')
    await sheet.setProps({ zone: zone('crown', { target_level: 8.5 }), others: [zone('top'), zone('nape')] })
    await read()
    expect(sheet.emitted('read')![0]![0]).toMatchObject({ zone_key: 'crown', also_for: ['top', 'nape'], level: 9 })
  })
  it('leaves out of one look what was read elsewhere meanwhile', async () => {
    const { sheet, press, read } = await opened()
    await press('All the rest')
    await sheet.setProps({ others: [zone('nape')] })
    await read()
    expect(sheet.emitted('read')![0]![0]).toMatchObject({ also_for: ['nape'] })
  })
  it('begins anew with the next part', async () => {
    const { sheet, press, read } = await opened()
    await press('All the rest')
    await sheet.setProps({ zone: zone('top') })
    await read()
    expect(sheet.emitted('read')![0]![0]).toMatchObject({ zone_key: 'top', also_for: [] })
  })
})
