import type { FindingRule } from './finding';

/** A picture, sound or film that is neither described nor marked as decorative. */
export const noDescription: FindingRule = ({ model }) =>
  Object.entries(model.question.media).flatMap(([id, { kind, description, decorative }]) =>
    kind === 'font' || decorative || (description ?? '').trim() !== ''
      ? []
      : [
          {
            where: [id],
            message: `The ${kind} "${id}" has no description for those who cannot ${kind === 'sound' ? 'hear' : 'see'} it.`,
            mend: 'Describe it, or mark it as decorative.',
          },
        ],
  );
