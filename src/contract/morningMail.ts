// Today by e-mail: a teacher's, off unless asked for.
import { object, string } from 'yup';
import { anyUuid, aWord, wholeNumber, zone } from './fields';
import { json, type Operation } from './operation';
import { MAIL_DAYS, type MailDays } from './vocabulary';

export const morningMail = object({
  /** The longest address there is (RFC 5321). */
  address: string().trim().email('This is no e-mail address').max(254).required('Type an e-mail address'),
  days: aWord(MAIL_DAYS),
  hour: wholeNumber().max(23, 'has to be an hour from 0 to 23'),
  zone: zone().required('is missing'),
});

export const mailToken = object({ token: string().max(100).required() });

export const mailNow = object({ id: anyUuid().required() });

/** What was asked for. */
export interface MorningMail {
  address: string;
  /** Whoever reads mail at the address has said that it is theirs: nothing else is sent there before. */
  isConfirmed: boolean;
  days: MailDays;
  hour: number;
  zone: string;
  nextAt: Date;
  sentAt: Date | null;
  /** When it could last not be sent; null: it could. */
  failedAt: Date | null;
}

export interface MorningMailView {
  /** Null: it is off. */
  mail: MorningMail | null;
  /** Mail leaves by SMTP; else it is stored as files. */
  leaves: boolean;
}

export const morningMailOperations = {
  'GET /api/account/mail': {
    who: 'teacher',
    does: 'Whether Today is sent by e-mail, where and when.',
    answer: json<MorningMailView>(),
  },
  'PUT /api/account/mail': {
    who: 'teacher',
    does: 'Asks for Today by e-mail. A new address is sent a link first, and nothing else until it was opened.',
    body: morningMail,
    answer: json<MorningMailView>(),
  },
  'DELETE /api/account/mail': {
    who: 'teacher',
    does: 'Ends Today by e-mail; its address is forgotten.',
    answer: json<MorningMailView>(),
  },
  'PUT /api/account/mail/confirmed': {
    who: 'teacher',
    does: 'Says that the address is the teacher’s, with what was sent there.',
    body: mailToken,
    answer: json<MorningMailView>(),
  },
  'POST /api/account/mail/now': {
    who: 'teacher',
    does: 'Sends Today now, whether there is news or not. `id` is made by the client: a repeated request sends one.',
    body: mailNow,
    answer: json<{ jobId: string }>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
