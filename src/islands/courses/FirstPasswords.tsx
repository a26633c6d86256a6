import { Scrolls } from '../../ui';
import { PrintSlips } from './Slips';

interface Made {
  readonly name: string;
  readonly username: string;
  /** Empty: none. */
  readonly password: string;
}

const quoted = (cell: string) => `"${cell.replaceAll('"', '""')}"`;

/** First passwords of new accounts, to be printed or taken as a file. Nothing where no account has one. */
export function FirstPasswords({ made, course }: { made: readonly Made[]; course: string }) {
  const withPasswords = made.filter(({ password }) => password !== '');
  if (withPasswords.length === 0) return null;
  const csv = `name,user name,password\r\n${made.map(({ name, username, password }) => [name, username, password].map(quoted).join(',')).join('\r\n')}\r\n`;
  return (
    <>
      <p className="mt-2 font-semibold">These passwords are shown this once. Print them, or take them as a file.</p>
      <Scrolls label="New accounts" className="max-h-64 mt-2">
        <table className="ledger-table w-full">
          <caption className="sr-only">First passwords</caption>
          <thead>
            <tr>
              <th scope="col">name</th>
              <th scope="col">user name</th>
              <th scope="col">first password</th>
            </tr>
          </thead>
          <tbody>
            {withPasswords.map(({ name, username, password }) => (
              <tr key={username}>
                <td>{name}</td>
                <td className="figures text-sm">{username}</td>
                <td className="figures text-sm">{password}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      <div className="flex flex-wrap gap-2 mt-3">
        <PrintSlips people={withPasswords} course={course} />
        <a
          className="btn btn-edge"
          download="first-passwords.csv"
          href={`data:text/csv;charset=utf-8,${encodeURIComponent(csv)}`}
        >
          Passwords as CSV
        </a>
      </div>
    </>
  );
}
