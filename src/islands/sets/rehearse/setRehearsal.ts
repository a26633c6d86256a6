import type { WholeSet } from '../../../contract';
import { asked, earned, inPlaces, markSoFar, random, reckoning, roundMark, seedOf, sourcesBeside } from '../../../core';
import type { Judge } from '../../player/Sitting';
import type { PlayerState } from '../../player/store';
import type { SittingView, Summary } from '../../player/types';
import { type LocalSitting, localSitting } from '../../shared/localSitting';
import { benchMedia } from '../../shared/ownMedia';
import type { ModelAnswers } from '../../shared/useModelAnswers';

/** A whole attempt at a set that the page itself judges. Nothing of it is stored. */
export interface SetRehearsal {
  /** The questions asked, by their places in the set. */
  readonly asked: readonly number[];
  /** The question at a place of the attempt, as it stands. */
  readonly open: (at: number) => SittingView;
  readonly judge: Judge;
  /** What it came to. What was not checked is checked first, as at the end of an attempt. */
  readonly summary: () => Promise<Pick<Summary, 'questions' | 'total' | 'corrected' | 'review'>>;
}

interface Options {
  /** Everything that is drawn is drawn by it. */
  readonly seed: string;
  readonly answers: () => ModelAnswers;
}

export function setRehearsal(set: WholeSet, { seed, answers }: Options): SetRehearsal {
  const sections = inPlaces(set.sections);
  const places = asked(sections, random(seedOf(`${seed}/questions`)));
  const sittings = new Map<number, LocalSitting>();
  let reached = 0;

  const sittingAt = (at: number): LocalSitting => {
    const known = sittings.get(at);
    const question = set.questions[places[at] ?? -1];
    if (known || !question) return known as LocalSitting;
    const made = localSitting(question, {
      seed: `${seed}/${places[at]}`,
      full: () => answers().get(question.id) ?? null,
    });
    sittings.set(at, made);
    return made;
  };
  const standing = (is: (sitting: LocalSitting) => boolean) =>
    [...sittings].flatMap(([at, sitting]) => (is(sitting) ? [at] : []));
  const open = (at: number): SittingView => {
    reached = Math.max(reached, at);
    const view = sittingAt(at).view();
    const aids = [...new Set([...view.question.show.aids, ...set.aids])];
    return {
      ...view,
      id: seed,
      ...{ release: set.title, course: 'a rehearsal: nothing is recorded' },
      question: { ...view.question, show: { ...view.question.show, aids } },
      place: {
        ...view.place,
        ...{ at, count: places.length, goBack: set.goBack, reached },
        tried: standing((sitting) => sitting.standing().tries.count > 0),
        ended: standing((sitting) => sitting.standing().ended),
        section: sections.find(({ questions }) => questions.includes(places[at] ?? -1))?.title ?? '',
      },
      sources: sourcesBeside(set.sources, places[at] ?? -1),
    };
  };
  const media = ({ place }: SittingView, _: PlayerState['media']) => {
    const { names, model } = sittingAt(place.at);
    const source = benchMedia(model.question.media);
    return (name: string) => source(names.mediumId.get(name) ?? '');
  };
  return {
    asked: places,
    open,
    judge: {
      stored: false,
      send: ({ place }) => sittingAt(place.at).send,
      media,
      goTo: async (_, question) => ({ ok: true, value: open(question) }),
      finish: async () => ({ ok: true, value: null }),
    },
    summary: async () => {
      for (const sitting of sittings.values()) {
        const { ended, judged, board } = sitting.standing();
        if (!ended && judged === null && board.zoneOf.size > 0)
          await sitting.send(0, [{ kind: 'check', id: crypto.randomUUID() }]);
      }
      const questions = places.map((place, at) => {
        const { model, standing: stands } = sittingAt(at);
        const { tries } = stands();
        const shown = model.question.show.mark;
        const best = markSoFar(model, tries);
        const points = set.points[place] ?? 0;
        return {
          title: model.question.title,
          struck: false,
          tries: tries.count,
          seen: at <= reached,
          fullMarks: shown ? (best?.fullMarks ?? false) : null,
          points,
          earned: shown ? roundMark(best ? earned(best.mark, best.max, points) : 0) : null,
          reckoning: reckoning(model, stands()),
        };
      });
      const sum = (numbers: readonly number[]) => roundMark(numbers.reduce((all, number) => all + number, 0));
      return {
        questions,
        total: questions.every((question) => question.earned !== null)
          ? { mark: sum(questions.map((question) => question.earned ?? 0)), max: sum(questions.map((q) => q.points)) }
          : null,
        corrected: null,
        // The answers are the teacher's own, and are rehearsed again rather than looked at.
        review: false,
      };
    },
  };
}
