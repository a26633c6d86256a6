import type { TypedAnswers } from '../../../core';
import { sharesOf } from '../analysis';
import type { Names } from './names';

const MAX_TEXTS = 12;

interface Props {
  typed: TypedAnswers;
  answered: number;
  names: Names;
  /** The address of a correction that accepts a spelling. */
  acceptAt: (zone: number, text: string) => string;
}

/** What was typed into a gap, by what it was read as. */
export function Typed({ typed: { zone, groups }, answered, names, acceptAt }: Props) {
  return (
    <section aria-label={names.zone(zone)} className="mb-4">
      <h4 className="font-semibold">{names.zone(zone)}</h4>
      {groups.length === 0 && <p className="text-mute">Nothing was typed.</p>}
      <ul>
        {groups.map(({ item, right, learners, texts }) => (
          <li key={item ?? 'none'} className="border-b border-rule py-1.5">
            <p>
              {item === null ? (
                <strong>Not read as any answer</strong>
              ) : (
                <>
                  Read as <strong>{names.item(item)}</strong>
                </>
              )}
              {right && <span className="text-verdigris"> ✓ right</span>}
              {!right && item !== null && <span className="text-brick"> wrong</span>}: {sharesOf(learners, answered)}
            </p>
            <ul className="ps-4">
              {texts.slice(0, MAX_TEXTS).map(({ text, learners: n }) => (
                <li key={text}>
                  “<bdi className="break-words">{text}</bdi>” <span className="figures text-mute">{n}</span>
                  {!right && (
                    <>
                      {' '}
                      <a
                        className="link-brass text-sm whitespace-nowrap"
                        href={acceptAt(zone, text)}
                        aria-label={`Accept “${text}” in ${names.zone(zone)}`}
                      >
                        accept this spelling
                      </a>
                    </>
                  )}
                </li>
              ))}
              {texts.length > MAX_TEXTS && <li className="text-mute">and {texts.length - MAX_TEXTS} more</li>}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
