import type { ApiError } from './api';

/** What went wrong, for a teacher: the first problem if there is one, else what to do next. */
export const failureInWords = ({ message, nextStep, problems }: ApiError): string =>
  `${message}. ${problems?.[0]?.message ?? nextStep}`;
