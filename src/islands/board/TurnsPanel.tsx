import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type CallBy, type Person, turnsOf, waiting } from '../../core';
import { ask } from '../../ui';
import { Alert } from '../../ui/Alert';
import { roundInWords } from './CallUp';
import type { ClassStore } from './classState';
import { Panel } from './Panel';

const BY: readonly (readonly [CallBy, string])[] = [
  ['chance', 'by chance'],
  ['order', 'in their order'],
  ['group', 'a group at a time'],
];

/** Who is here, who has had a turn, and how they are called up. */
export function TurnsPanel({ store, onClose }: { store: ClassStore; onClose: () => void }) {
  const { turns, by, namesFrom } = store();
  const { setBy, setAbsent, callOne, notNow, forget } = store.getState();
  const [choosing, setChoosing] = useState(turns === null);
  const [asking, setAsking] = useState(false);
  const grouped = turns?.people.some(({ group }) => group !== null) === true;
  return (
    <Panel title="Turns" onClose={onClose}>
      {choosing || !turns ? (
        <Names
          current={namesFrom}
          onChoose={(from, people, areLearners) => {
            store.getState().setNames(from, people, areLearners);
            setChoosing(false);
          }}
        />
      ) : (
        <>
          <p>
            {namesFrom}, round {turns.round}: {roundInWords(turns)}.
            {waiting(turns).length === 0 && ' Everybody has come up once: the next call begins another round.'}
          </p>
          <fieldset className="board-choices">
            <legend>Call up</legend>
            {BY.filter(([way]) => way !== 'group' || grouped).map(([way, words]) => (
              <label key={way}>
                <input type="radio" className="radio" name="by" checked={by === way} onChange={() => setBy(way)} />
                {words}
              </label>
            ))}
          </fieldset>
          <div className="board-row">
            <button type="button" className="board-button" disabled={turns.up.length === 0} onClick={notNow}>
              Not now
            </button>
            <button type="button" className="board-button" onClick={() => setChoosing(true)}>
              Other names…
            </button>
            {asking ? (
              <button
                type="button"
                className="board-button board-button-main"
                onClick={() => {
                  forget();
                  setAsking(false);
                }}
              >
                Yes, begin anew
              </button>
            ) : (
              <button type="button" className="board-button" onClick={() => setAsking(true)}>
                Begin anew…
              </button>
            )}
          </div>
          <ul className="board-people" aria-label="Names">
            {turns.people.map(({ id, name }) => (
              <li key={id} data-up={turns.up.includes(id) || undefined}>
                <label>
                  <input
                    type="checkbox"
                    className="checkbox"
                    checked={!turns.absent.includes(id)}
                    onChange={(event) => setAbsent(id, !event.target.checked)}
                  />
                  <span dir="auto">{name}</span>
                </label>
                <span className="figures" title="turns">
                  {turnsOf(turns, id)}
                  <span className="sr-only"> turns</span>
                </span>
                <button
                  type="button"
                  className="board-button board-button-small"
                  aria-label={`Call ${name}`}
                  onClick={() => callOne(id)}
                >
                  Call
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Panel>
  );
}

/** Where names come from: a course, one of its groups, or a stock list whose lines begin with a name. */
function Names({
  current,
  onChoose,
}: {
  current: string | null;
  onChoose: (from: string, people: readonly Person[], areLearners: boolean) => void;
}) {
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => ask('GET /api/courses') });
  const lists = useQuery({ queryKey: ['lists'], queryFn: () => ask('GET /api/lists') });
  const [course, setCourse] = useState<{ id: string; title: string } | null>(null);
  const names = useQuery({
    queryKey: ['names', course?.id],
    queryFn: () => ask('GET /api/courses/{id}/names', { id: course?.id ?? '' }),
    enabled: course !== null,
  });
  const failed = courses.isError || lists.isError || names.isError;
  const groups = [...new Set((names.data ?? []).flatMap(({ group }) => group ?? []))];
  return (
    <>
      <p>Whose names are drawn?{current !== null && ` Now: ${current}.`}</p>
      {failed && <Alert tone="problem">The names cannot be had now. Try again when the line is back.</Alert>}
      {(courses.isPending || lists.isPending) && !failed && <p role="status">Looking…</p>}
      <div className="board-list">
        {courses.data
          ?.filter(({ archived }) => !archived)
          .map(({ id, title, learners }) => (
            <div key={id}>
              <button
                type="button"
                className="board-button board-button-wide"
                aria-expanded={course?.id === id}
                onClick={() => setCourse({ id, title })}
              >
                <span dir="auto">{title}</span> <span className="figures">{learners}</span>
              </button>
              {course?.id === id && names.isPending && <p role="status">Looking…</p>}
              {course?.id === id && names.data && (
                <div className="board-row">
                  {names.data.length === 0 ? (
                    <p>Nobody is on its roster yet.</p>
                  ) : (
                    <button
                      type="button"
                      className="board-button board-button-main"
                      onClick={() => onChoose(title, names.data, true)}
                    >
                      Everybody
                    </button>
                  )}
                  {groups.map((group) => (
                    <button
                      key={group}
                      type="button"
                      className="board-button"
                      onClick={() =>
                        onChoose(
                          `${title}, ${group}`,
                          names.data.filter((person) => person.group === group),
                          true,
                        )
                      }
                    >
                      {group}
                    </button>
                  ))}
                </div>
              )}
            </div>
          ))}
        {lists.data?.map(({ id, title, rows }) => (
          <button
            key={id}
            type="button"
            className="board-button board-button-wide"
            onClick={() => onChoose(title, namesIn(rows), false)}
          >
            <span dir="auto">{title}</span> <span className="text-mute">stock list</span>
          </button>
        ))}
      </div>
      {courses.data?.length === 0 && lists.data?.length === 0 && (
        <p>Names come from a course’s roster or from a stock list. There is none yet.</p>
      )}
    </>
  );
}

/** The first cell of each line is a name, the second a group. */
const namesIn = (rows: readonly (readonly string[])[]): Person[] =>
  rows.flatMap(([name = '', group = ''], i) =>
    name.trim() === '' ? [] : { id: `${i} ${name}`, name: name.trim(), group: group.trim() || null },
  );
