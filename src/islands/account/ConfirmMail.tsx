import { useState } from 'react';
import { Alert } from '../../ui/Alert';
import { api } from '../../ui/api';
import { errorInWords } from '../../ui/errorInWords';

interface Props {
  /** Null: no e-mail was asked for. */
  address: string | null;
  isConfirmed: boolean;
  token: string;
}

/** Whoever opened the link in a letter says that its address is theirs. */
export function ConfirmMail({ address, isConfirmed, token }: Props) {
  const [done, setDone] = useState(isConfirmed);
  const [problem, setProblem] = useState('');
  const confirm = async () => {
    const answer = await api('PUT /api/account/mail/confirmed', { body: { token } });
    setDone(answer.ok);
    setProblem(
      answer.ok
        ? ''
        : answer.error.code === 'notFound'
          ? 'This link is of an earlier letter, or of another account. Open the newest.'
          : errorInWords(answer.error),
    );
  };
  const account = (
    <a className="link-brass" href="/account#mail">
      Your account
    </a>
  );
  if (address === null) return <p>You have asked for no e-mail. {account} is where it is turned on.</p>;
  return (
    <>
      <p className="mb-4 break-words">
        {done ? (
          <>
            Today is sent to <strong>{address}</strong>. {account} says when, and ends it.
          </>
        ) : (
          <>
            Is <strong>{address}</strong> yours? Letters name your learners and what they did.
          </>
        )}
      </p>
      {problem && (
        <Alert tone="problem" role="alert" className="mb-4">
          {problem}
        </Alert>
      )}
      {!done && (
        <button type="button" className="btn btn-primary" onClick={() => void confirm()}>
          It is mine
        </button>
      )}
      <p role="status" className="sr-only">
        {done ? 'The address is confirmed.' : ''}
      </p>
    </>
  );
}
