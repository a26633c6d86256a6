import type { StoredMedium } from '../contract';
import { api } from './api';

/**
 * Stores a file among the teacher's media; else returns the reason. Pictures are scaled down to the size needed beside
 * a question.
 */
export async function sendMedium(file: File): Promise<StoredMedium | string> {
  const result = await api('POST /api/media', { file, query: { name: file.name || 'file', width: 1280, height: 960 } });
  if (result.ok) return result.value;
  const { code, message, problems, nextStep } = result.error;
  return code === 'offline'
    ? 'You are offline, so the file could not be sent. Try again when you are back.'
    : `${message}. ${problems?.[0]?.message ?? nextStep}`;
}
