// The record store that statements are sent to (xAPI), and statements as a file.
import { boolean, object, string } from 'yup';
import { file, json, type Operation } from './operation';

/** The record store of the installation; its secret is never shown. */
export interface RecordStore {
  address: string;
  key: string;
  /** Learners' names go along. */
  names: boolean;
  /** What came about earlier is not sent. */
  since: Date;
}

export interface RecordStoreView {
  /** Null: statements are sent nowhere. */
  store: RecordStore | null;
  /** How many learners' work at releases waits to be sent, could not be, and has arrived. */
  waiting: number;
  failed: number;
  arrived: number;
  /** Why something waits or has failed, the latest; empty: nothing does. */
  reason: string;
}

export const recordStoreGiven = object({
  address: string()
    .max(2000, 'At most 2000 characters')
    .required('is missing')
    .test('address', 'has to be an https address, or http to this machine', (text) => URL.canParse(text ?? '')),
  key: string().min(1, 'is missing').max(500, 'At most 500 characters').required('is missing'),
  /** Left out or empty: the one that is stored for this address. */
  secret: string().max(500, 'At most 500 characters').default(''),
  names: boolean().default(false),
});

export const sendingAll = object({ all: boolean().default(false) });

export const recordStoreOperations = {
  'GET /api/record-store': {
    who: 'teacher',
    does: 'The record store that statements are sent to, for an administrator.',
    answer: json<RecordStoreView>(),
  },
  'PUT /api/record-store': {
    who: 'teacher',
    does: 'Names the record store. From then on what learners do is sent to it; its secret is never shown again.',
    body: recordStoreGiven,
    answer: json<RecordStoreView>(),
  },
  'DELETE /api/record-store': {
    who: 'teacher',
    does: 'Sends statements nowhere any more. What has arrived stays where it is.',
    answer: json<RecordStoreView>(),
  },
  'POST /api/record-store/again': {
    who: 'teacher',
    does: 'Tries again what could not be sent; `all`: sends everything, also what came about before the store was named.',
    body: sendingAll,
    answer: json<RecordStoreView>(),
  },
  'GET /api/releases/{id}/statements': {
    who: 'teacher',
    does: 'The statements of a release (xAPI), one a line, ordered by time. They hold what is right.',
    answer: file('application/x-ndjson'),
  },
} as const satisfies Readonly<Record<string, Operation>>;
