import type { Look } from '../../document/schema';
import { contrast } from '../contrast';
import type { FindingRule } from './finding';

const LEAST = 4.5;

/** What the page draws where a look says nothing (scene.css). */
const PLAIN: Readonly<Record<string, { fill: string; text: string }>> = {
  item: { fill: 'sheet', text: 'ink' },
  zone: { fill: 'sheet', text: 'ink' },
};

type Style = { readonly fill?: string; readonly text?: string } | undefined;

/** A look whose words stand out too little from their ground in some state. */
export const contrastLow: FindingRule = ({ model }) =>
  Object.entries(model.question.looks as Record<string, Look>).flatMap(([id, look]) => {
    const states = look.states as Record<string, Style>;
    const low = Object.entries({ rest: undefined, ...states } as Record<string, Style>).flatMap(([state, style]) => {
      const fill = style?.fill ?? states.rest?.fill ?? (PLAIN[look.of]?.fill as string);
      const text = style?.text ?? states.rest?.text ?? (PLAIN[look.of]?.text as string);
      const found = contrast(fill, text);
      return found < LEAST ? [`${state} ${found.toFixed(1)}`] : [];
    });
    if (low.length === 0) return [];
    return [
      {
        where: [id],
        message: `The look "${look.name || id}" is hard to read: ${low.join(', ')} to 1, where ${LEAST} is the least.`,
        mend: 'Take a darker text or a lighter fill.',
      },
    ];
  });
