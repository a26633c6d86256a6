import { Delete } from 'lucide-react';
import { useState } from 'react';
import { PICTURES, PICTURES_CHOSEN, type PictureName } from '../../contract/vocabulary';
import { Alert } from '../../ui/Alert';
import { Field } from '../../ui/Field';
import { phrase } from '../../words';
import { PICTURE_ICONS, PICTURE_PHRASES } from './pictureIcons';

/** A small child signs in: a code, their name as they type it, and their pictures in order. Nobody's name is listed. */
export function PictureSignIn({ code: given }: { code: string }) {
  const [code, setCode] = useState(given);
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState<readonly PictureName[]>([]);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);

  const signIn = async (pictures: readonly PictureName[]) => {
    setBusy(true);
    const answer = await fetch('/api/auth/sign-in/pictures', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ code: code.trim(), name: name.trim(), pictures }),
    }).catch(() => null);
    if (answer?.ok) return location.assign('/sit');
    setBusy(false);
    setChosen([]);
    setProblem(
      phrase(
        !answer
          ? 'account.offline'
          : answer.status === 429
            ? 'account.askTeacher'
            : answer.status < 500
              ? 'account.wrongPictures'
              : 'account.wentWrong',
      ),
    );
  };
  const choose = (picture: PictureName) => {
    setProblem('');
    const pictures = [...chosen, picture];
    setChosen(pictures);
    if (pictures.length === PICTURES_CHOSEN) void signIn(pictures);
  };
  const isKnown = code.trim() !== '' && name.trim() !== '';
  return (
    <div className="flex flex-col gap-4">
      <Field
        label={phrase('account.code')}
        autoComplete="off"
        autoCapitalize="characters"
        maxLength={40}
        value={code}
        onChange={(event) => setCode(event.target.value)}
      />
      <Field
        label={phrase('account.yourName')}
        autoComplete="off"
        maxLength={100}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <fieldset disabled={!isKnown || busy} className="disabled:opacity-50">
        <legend className="font-semibold mb-2">{phrase('account.yourPictures', { n: PICTURES_CHOSEN })}</legend>
        <p className="flex items-center gap-2 mb-3 min-h-14" role="status">
          <span className="sr-only">{phrase('account.chosen', { n: chosen.length, of: PICTURES_CHOSEN })}</span>
          {Array.from({ length: PICTURES_CHOSEN }, (_, i) => {
            const Icon = chosen[i] && PICTURE_ICONS[chosen[i]];
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a place is what it is
              <span key={i} className="grid place-items-center w-14 h-14 border-2 border-dashed border-rule rounded">
                {Icon && <Icon size={34} aria-hidden />}
              </span>
            );
          })}
          {chosen.length > 0 && (
            <button
              type="button"
              className="btn btn-quiet"
              aria-label={phrase('account.oneBack')}
              onClick={() => setChosen(chosen.slice(0, -1))}
            >
              <Delete size={24} aria-hidden className="rtl:-scale-x-100" />
            </button>
          )}
        </p>
        <div className="grid grid-cols-4 gap-2">
          {PICTURES.map((picture) => {
            const Icon = PICTURE_ICONS[picture];
            return (
              <button
                key={picture}
                type="button"
                className="btn btn-edge h-auto p-2 flex-col gap-1 font-normal text-sm"
                onClick={() => choose(picture)}
              >
                <Icon size={34} aria-hidden />
                {phrase(PICTURE_PHRASES[picture])}
              </button>
            );
          })}
        </div>
      </fieldset>
      {problem && (
        <Alert tone="problem" role="alert">
          {problem}
        </Alert>
      )}
      <a className="link-brass" href="/sign-in">
        {phrase('account.withPassword')}
      </a>
    </div>
  );
}
