import { documentOf, escaped } from '../document';
import type { KeptStatements } from './recordStore';

/** So many are shown. */
const MAX_SHOWN = 100;

/** What has arrived, the latest first, and what an administrator has to type in. `base`: the path of the store. */
export function storePage(
  base: string,
  kept: KeptStatements,
  { key, secret }: { key: string; secret: string },
): string {
  const shown = kept.statements.slice(-MAX_SHOWN).toReversed();
  const titleOf = ({ object }: KeptStatements['statements'][number]) =>
    Object.values(object.definition?.name ?? {})[0] ?? object.id;
  const scoreOf = ({ result }: KeptStatements['statements'][number]) =>
    result?.score ? `${result.score.raw} of ${result.score.max}` : '';
  return documentOf(
    'Tarn Hollow record store',
    `<header><h1>Tarn Hollow record store</h1><p>A simulated store, to try how statements of what learners do arrive (xAPI).</p></header><main>
<p>Its key is <code>${escaped(key)}</code>, its secret <code>${escaped(secret)}</code>.</p>
${kept.down ? '<p class="down" role="status">The store is down: nothing arrives.</p>' : ''}
<h2>${kept.statements.length} statements</h2>
<div class="scroll"><table><thead><tr><th scope="col">When</th><th scope="col">Who</th><th scope="col">Did</th><th scope="col">What</th><th scope="col">Answer</th><th scope="col">Score</th></tr></thead><tbody>
${shown
  .map(
    (statement) =>
      `<tr><td>${escaped(statement.timestamp.slice(0, 19).replace('T', ' '))}</td><td>${escaped(statement.actor.name ?? statement.actor.account.name)}</td><td>${escaped(Object.values(statement.verb.display ?? {})[0] ?? statement.verb.id)}</td><td>${escaped(titleOf(statement))}</td><td>${escaped(statement.result?.response ?? '')}</td><td>${escaped(scoreOf(statement))}</td></tr>`,
  )
  .join('')}</tbody></table></div>
<p><form method="post" action="${base}/switch"><button>${kept.down ? 'Bring the store back' : 'Take the store down'}</button></form>
<form method="get" action="${base}"><button>Look again</button></form></p></main>`,
  );
}
