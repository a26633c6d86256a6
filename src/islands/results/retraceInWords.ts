import { isTyped, type Question, type RetraceFrame } from '../../core';

const named = (list: readonly { readonly id: string; readonly label: string }[], id: string, what: string) => {
  const at = list.findIndex((candidate) => candidate.id === id);
  return list[at]?.label || `${what} ${at + 1}`;
};

/** What a move was and what came of it, in words. */
export function frameInWords(question: Question, { move, outcome, passedOver, tried }: RetraceFrame): string {
  if (!move) return 'At the start';
  const words = moveInWords(question, move, outcome);
  const judged = tried
    ? `: ${tried.judged.fullMarks ? 'all of it right' : `${tried.judged.right} right, ${tried.judged.wrong} wrong`}, mark ${tried.judged.mark} of ${tried.judged.max}`
    : '';
  return `${words}${judged}${passedOver ? ' (passed over: by the corrected key it had ended)' : ''}`;
}

function moveInWords(
  question: Question,
  move: NonNullable<RetraceFrame['move']>,
  outcome: RetraceFrame['outcome'],
): string {
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
      if (outcome?.to === 'zone') return `${item} → ${zone}`;
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
