import type { ClassStore } from './classState';
import { MOST_TEAMS } from './classState';
import { Panel } from './Panel';
import { Sign, teamName } from './signs';

interface Props {
  store: ClassStore;
  racing: boolean;
  onRace: (on: boolean) => void;
  onClose: () => void;
}

/** Two to four teams, drawn or by hand, with a tally of what came right. */
export function TeamsPanel({ store, racing, onRace, onClose }: Props) {
  const { turns, teams, teamUp } = store();
  const { makeTeams, setTeam, endTeams, passTo, count } = store.getState();
  const counts = Array.from({ length: MOST_TEAMS - 1 }, (_, i) => i + 2);
  return (
    <Panel title="Teams" onClose={onClose}>
      <p>
        {turns
          ? 'Those who are here are drawn into teams; anybody can be moved by hand.'
          : 'Choose names under Turns to draw people into teams, or count for teams without names.'}
      </p>
      <div className="board-row">
        {counts.map((n) => (
          <button key={n} type="button" className="board-button" onClick={() => makeTeams(n)}>
            {n} teams
          </button>
        ))}
        {teams.length > 0 && (
          <button type="button" className="board-button" onClick={endTeams}>
            No teams
          </button>
        )}
      </div>
      {teams.length > 0 && (
        <ul className="board-teams">
          {teams.map(({ sign, members, tally }, i) => (
            <li key={sign}>
              <h3>
                <Sign sign={sign} /> {teamName(sign)}: <span className="figures">{tally}</span>
              </h3>
              <div className="board-row">
                <button
                  type="button"
                  className={`board-button board-button-small ${teamUp === i ? 'board-button-main' : ''}`}
                  aria-pressed={teamUp === i}
                  onClick={() => passTo(i)}
                >
                  Its turn
                </button>
                <button
                  type="button"
                  className="board-button board-button-small"
                  aria-label={`One less for ${teamName(sign)}`}
                  disabled={tally === 0}
                  onClick={() => count(i, -1)}
                >
                  −1
                </button>
                <button
                  type="button"
                  className="board-button board-button-small"
                  aria-label={`One more for ${teamName(sign)}`}
                  onClick={() => count(i, 1)}
                >
                  +1
                </button>
              </div>
              {turns && members.length > 0 && (
                <ul>
                  {members.flatMap((id) => {
                    const person = turns.people.find((person) => person.id === id);
                    return person ? (
                      <li key={id}>
                        <span dir="auto">{person.name}</span>
                        <select
                          className="select select-sm w-auto"
                          aria-label={`Team of ${person.name}`}
                          value={sign}
                          onChange={(event) => setTeam(id, Number(event.target.value))}
                        >
                          {teams.map((team) => (
                            <option key={team.sign} value={team.sign}>
                              {teamName(team.sign)}
                            </option>
                          ))}
                        </select>
                      </li>
                    ) : (
                      []
                    );
                  })}
                </ul>
              )}
            </li>
          ))}
        </ul>
      )}
      {teams.length === 2 && (
        <label className="board-check">
          <input
            type="checkbox"
            className="toggle"
            checked={racing}
            onChange={(event) => onRace(event.target.checked)}
          />
          A race: each team has the question on its own half
        </label>
      )}
    </Panel>
  );
}
