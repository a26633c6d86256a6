import { toast } from 'sonner';
import { applyAll, type Clipping, clip, paste } from '../../../core';
import { parseQuestion } from '../../../core/document';
import { itemsNamed } from '../layOut/makings';
import { takeFiles } from '../media/takeFiles';
import type { BenchStore } from '../store';
import { addThings, removeSelected } from './arranging';

const TYPE = 'application/x-vault-drop';
const BY = { x: 12, y: 12 };

/** Copies the selection to the clipboard: complete for another question, and its labels for other programs. */
export function copied(store: BenchStore, event: ClipboardEvent, cut: boolean): void {
  const { question, selection } = store.getState();
  if (selection.size === 0 || !event.clipboardData || String(document.getSelection() ?? '') !== '') return;
  const clipping = clip(question, selection);
  event.clipboardData.setData(TYPE, JSON.stringify({ ...clipping, from: question.id }));
  event.clipboardData.setData(
    'text/plain',
    [...clipping.items, ...clipping.zones, ...clipping.fixtures].map(({ label }) => label).join('\n'),
  );
  event.preventDefault();
  if (cut) removeSelected(store);
  else store.getState().say('Copied');
}

export function pasted(store: BenchStore, event: ClipboardEvent): void {
  const data = event.clipboardData;
  if (!data) return;
  const clipping = data.getData(TYPE);
  if (clipping) {
    event.preventDefault();
    pasteClipping(store, clipping);
    return;
  }
  if (data.files.length > 0) {
    event.preventDefault();
    void takeFiles(store, [...data.files]);
    return;
  }
  const lines = data
    .getData('text/plain')
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);
  if (lines.length === 0) return;
  event.preventDefault();
  const items = itemsNamed(store.getState().question, lines);
  addThings(store, 'items', items, `${items.length} items made`);
}

/** A clipping comes from outside the page, so its result is validated against the format. */
function pasteClipping(store: BenchStore, text: string): void {
  const { question, do: act, select } = store.getState();
  try {
    const { from, ...clipping } = JSON.parse(text) as Clipping & { from?: string };
    const { step, refs } = paste(question, clipping, from === question.id ? BY : { x: 0, y: 0 });
    const parsed = parseQuestion(applyAll(question, step));
    if (!parsed.ok) return void toast.error('That cannot be pasted here', { description: parsed.problems[0]?.message });
    act(step, `${refs.length} pasted`);
    select(refs);
  } catch {
    toast.error('That cannot be pasted here', { description: 'What is on the clipboard is no part of a question.' });
  }
}
