import type { ApiResult } from './api';

export interface SentMedium {
  readonly hash: string;
  readonly kind: 'picture' | 'sound' | 'film';
  readonly weight: number;
}

/** Keeps a file among the teacher's media; else says in a sentence why not. Pictures are made no larger than is needed to show them beside a question. */
export async function sendMedium(file: File): Promise<SentMedium | string> {
  const search = new URLSearchParams({ name: file.name || 'file', width: '1280', height: '960' });
  try {
    const response = await fetch(`/api/media?${search}`, { method: 'POST', body: file, headers: { 'content-type': file.type || 'application/octet-stream' } });
    const result = (await response.json()) as ApiResult<SentMedium>;
    return result.ok ? result.value : `${result.error.message}. ${result.error.problems?.[0]?.message ?? result.error.wayOn}`;
  } catch {
    return 'The file could not be sent: the line is down. Try again when it is back.';
  }
}
