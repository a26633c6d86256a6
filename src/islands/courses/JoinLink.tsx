import { toDataURL } from 'qrcode';
import { useEffect, useState } from 'react';

/** The whole address at which a course is joined: copied, or read by a telephone from the wall. */
export function JoinLink({ code, course }: { code: string; course: string }) {
  const [picture, setPicture] = useState('');
  const [copied, setCopied] = useState('');
  // The server does not know under which name people reach it.
  const [address, setAddress] = useState('');
  useEffect(() => {
    const whole = `${location.origin}/join?code=${code}`;
    setAddress(whole);
    setCopied('');
    let late = false;
    void toDataURL(whole, { margin: 2, width: 480 }).then((drawn) => !late && setPicture(drawn));
    return () => {
      late = true;
    };
  }, [code]);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(address);
      setCopied('It is copied.');
    } catch {
      setCopied('The browser does not let it be copied: mark it and copy it by hand.');
    }
  };
  return (
    <div className="mt-3">
      <p className="figures text-sm break-all select-all" data-testid="join-link">
        {address}
      </p>
      <div className="flex flex-wrap items-center gap-2 mt-2">
        <button type="button" className="btn btn-edge btn-sm" onClick={() => void copy()}>
          Copy the link
        </button>
        <span role="status" className="text-sm text-mute">
          {copied}
        </span>
      </div>
      {picture && (
        <figure className="mt-3">
          <img
            src={picture}
            width={200}
            height={200}
            className="bg-white border border-rule"
            alt={`QR code of the link to join ${course}`}
          />
          <figcaption className="text-sm text-mute mt-1">
            A telephone reads it.{' '}
            <a className="link-brass" href={picture} download="join.png">
              Save the picture
            </a>
          </figcaption>
        </figure>
      )}
    </div>
  );
}
