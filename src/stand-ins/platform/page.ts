import { documentOf, escaped } from '../document';
import { COURSE, type Kept, type Line, MEMBERS, type Member } from './school';

const TOP = `<header><h1>Tarn Hollow School</h1><p>A simulated platform, to try how questions are linked and marks arrive.</p></header>`;

/** The course as somebody at the school would see all of it at once. `base`: the path of its pages. */
export function coursePage(base: string, kept: Kept): string {
  const opens = (person: Member, query: string, words: string) =>
    `<a class="go" href="${base}/open?person=${person.id}&amp;${query}" target="_blank" rel="noopener">${escaped(words)}</a>`;
  const teachers = MEMBERS.filter(({ role }) => role === 'Instructor');
  const learners = MEMBERS.filter(({ role }) => role === 'Learner');
  const people = (members: readonly Member[], query: string, words: (name: string) => string) =>
    members.map((person) => opens(person, query, words(person.name))).join(' ');
  return documentOf(
    'Tarn Hollow School',
    `${TOP}<main>
<h2>${escaped(COURSE.title)}</h2>
${kept.down ? '<p class="down" role="status">The services of the school are down: no mark arrives.</p>' : ''}
<p>${people(teachers, '', (name) => `Open as ${name}`)}</p>
<p>${people(teachers, 'choose=1', (name) => `Link a question as ${name}`)}</p>
<h2>Links</h2>
${kept.links.length === 0 ? '<p>Nothing is linked yet: link a question as a teacher.</p>' : ''}
${kept.links
  .map(
    (link) =>
      `<h3>${escaped(link.title)}</h3><p>${people([...teachers, ...learners], `link=${link.id}`, (name) => name)}
${learners.map((person) => `<a href="${base}/framed?person=${person.id}&amp;link=${link.id}">${escaped(person.name)}, in a frame</a>`).join(' · ')}</p>`,
  )
  .join('')}
<h2>Gradebook</h2>
<div class="scroll">${gradebook(kept, learners)}</div>
<p><small>${kept.received} scores have come.</small></p>
<p><form method="post" action="${base}/switch"><button>${kept.down ? 'Bring the services back' : 'Take the services down'}</button></form>
<form method="get" action="${base}"><button>Look again</button></form></p>
</main>`,
  );
}

function gradebook({ lines, scores }: Kept, learners: readonly Member[]): string {
  const cell = (line: Line, person: Member): string => {
    const score = scores.find((each) => each.line === line.id && each.userId === person.id);
    if (!score) return '–';
    const mark = score.scoreGiven === null ? score.activityProgress : `${score.scoreGiven} of ${score.scoreMaximum}`;
    return `${escaped(mark)}${score.comment === null ? '' : `<br><small>${escaped(score.comment)}</small>`}`;
  };
  return `<table><thead><tr><th scope="col">Learner</th>${lines.map(({ label }) => `<th scope="col">${escaped(label)}</th>`).join('')}</tr></thead><tbody>
${learners.map((person) => `<tr><th scope="row">${escaped(person.name)}</th>${lines.map((line) => `<td data-label="${escaped(line.label)}">${cell(line, person)}</td>`).join('')}</tr>`).join('')}</tbody></table>`;
}

/** A link that is shown in a frame. */
export const framedPage = (base: string, address: string): string =>
  documentOf(
    'Tarn Hollow School',
    `${TOP}<main><p><a href="${base}">Back to the course</a></p><iframe title="What the course links" src="${escaped(address)}"></iframe></main>`,
  );

export const SUBMITS = 'document.forms[0].submit()';

/** A page that posts a form by itself; without script, by a press. */
export const postingPage = (action: string, fields: Readonly<Record<string, string>>): string =>
  documentOf(
    'Going on',
    `<main><form method="post" action="${escaped(action)}">${Object.entries(fields)
      .map(([name, value]) => `<input type="hidden" name="${name}" value="${escaped(value)}">`)
      .join('')}<button>Go on</button></form></main><script>${SUBMITS}</script>`,
  );

export const messagePage = (base: string, words: string): string =>
  documentOf(
    'Tarn Hollow School',
    `${TOP}<main><p>${escaped(words)}</p><p><a href="${base}">Back to the course</a></p></main>`,
  );
