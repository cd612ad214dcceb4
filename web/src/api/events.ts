import type { Schemas } from './client'

/** Acts as the log takes them: their kinds and fields are the core's own, declared once, and generated into here. */
export type EventIn = Schemas['EventIn']
export type EventKind = EventIn['kind']
export type EventData<K extends EventKind = EventKind> = NonNullable<Extract<EventIn, { kind: K }>['data']>

/** What is read, and noted of hair and scalp, as sheets hand it up. */
export type Read = EventData<'ReadingTaken'>
export type Noted = Omit<EventData<'HairNoted'>, 'zone_key'>
