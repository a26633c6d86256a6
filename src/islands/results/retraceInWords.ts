import { copyOf, isTyped, type Question, type RetraceFrame } from '../../core';

const named = (list: readonly { readonly id: string; readonly label: string }[], id: string, what: string) => {
  const at = list.findIndex((candidate) => candidate.id === id);
  return list[at]?.label || `${what} ${at + 1}`;
};

/** What a move was and what came of it, in words. */
export function frameInWords(question: Question, frame: RetraceFrame): string {
  const { move, passedOver, tried } = frame;
  if (!move) return 'At the start';
  const words = moveInWords(question, move, frame);
  const judged = tried
    ? `: ${tried.judged.fullMarks ? 'all of it right' : countedInWords(tried)}, mark ${tried.judged.mark} of ${tried.judged.max}`
    : '';
  return `${words}${judged}${passedOver ? ' (passed over: by the corrected key it had ended)' : ''}`;
}

/** How many stand right and wrong, as each of them is marked. */
function countedInWords({ verdicts, judged }: NonNullable<RetraceFrame['tried']>): string {
  const count = (verdict: 'right' | 'wrong') => [...verdicts.values()].filter((one) => one === verdict).length;
  return verdicts.size > 0
    ? `${count('right')} right, ${count('wrong')} wrong`
    : `${judged.right} right, ${judged.wrong} wrong`;
}

/** How a question stands after a move: by its last judgement, or by what lies there. */
export function standsInWords({ judged, board, tries }: RetraceFrame): string {
  if (judged)
    return judged.judged.fullMarks
      ? `all of it right, try ${tries}`
      : `${countedInWords(judged)}${tries > 0 ? `, try ${tries}` : ''}`;
  return `${board.zoneOf.size} placed`;
}

/** The place it came to, from 1, in a zone whose order counts; empty: it does not. */
function placeInWords({ key, items, zones }: Question, { move, outcome, board }: RetraceFrame): string {
  if (outcome?.to !== 'zone' || !move || !('item' in move)) return '';
  const { zone } = outcome;
  if (!key.some((entry) => entry.zone === zones[zone]?.id && entry.sequence)) return '';
  const item = items.findIndex(({ id }) => id === move.item);
  const at = (board.zones[zone] ?? []).indexOf(copyOf(item, move.copy ?? 0));
  return at < 0 ? '' : `, place ${at + 1}`;
}

function moveInWords(question: Question, move: NonNullable<RetraceFrame['move']>, frame: RetraceFrame): string {
  const { outcome } = frame;
  switch (move.kind) {
    case 'check':
      return 'Check';
    case 'reset':
      return 'Everything put back';
    case 'hint':
      return 'A hint';
    case 'drop':
    case 'put': {
      if (isTyped(move)) return `“${move.text}” typed into ${named(question.zones, move.zone, 'zone')}`;
      const item = named(question.items, move.item, 'item');
      const into = outcome?.to === 'zone' || outcome?.to === 'turnedAway' ? question.zones[outcome.zone] : undefined;
      const zone = into ? named(question.zones, into.id, 'zone') : '';
      if (outcome?.to === 'zone') return `${item} → ${zone}${placeInWords(question, frame)}`;
      if (outcome?.to === 'turnedAway')
        return `${item} turned away by ${zone}${outcome.why === 'full' ? ', which was full' : ''}`;
      return outcome?.to === 'loose' ? `${item} let go outside` : `${item} back where it came from`;
    }
  }
}

/** Time since the beginning, as a clock has it. */
export function sinceStart(frames: readonly RetraceFrame[], at: number): string {
  const seconds = Math.max(0, Math.round(((frames[at]?.at ?? 0) - (frames[0]?.at ?? 0)) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
