import { useState } from 'react';
import { newPlatform, type PlatformsPage } from '../../contract';
import { api, Field } from '../../ui';
import { Confirm } from '../../ui/Confirm';
import { failureInWords } from '../../ui/failureInWords';
import { useRequestForm } from '../../ui/form';

type Platform = PlatformsPage['platforms'][number];

const FIELDS = [
  ['name', 'Name', 'As your teachers call it.'],
  ['issuer', 'Issuer', 'A name that looks like an address: exactly as the platform writes it.'],
  ['clientId', 'Client id', ''],
  ['authUrl', 'Authorisation address', 'Also called the authentication request address.'],
  ['tokenUrl', 'Token address', ''],
  ['jwksUrl', 'Address of its public keys', 'Also called the key set or JWKS address.'],
] as const;

/** The platforms that may launch us, for an administrator. */
export function Platforms({ page: given }: { page: PlatformsPage }) {
  const [{ platforms, tool }, setPage] = useState(given);
  const [leaving, setLeaving] = useState<Platform | null>(null);
  const [said, setSaid] = useState('');
  const remove = async ({ id, name }: Platform) => {
    const answer = await api('DELETE /api/platforms/{id}', { id });
    setLeaving(null);
    setSaid(answer.ok ? `${name} is removed.` : failureInWords(answer.error));
    if (answer.ok) setPage(answer.value);
  };
  return (
    <>
      <section>
        <h2 className="text-xl mb-2">What a platform has to be told</h2>
        <dl className="grid gap-x-4 gap-y-1 sm:grid-cols-[auto_1fr]">
          {(
            [
              ['Login address', tool.loginUrl],
              ['Launch address (redirect, target link)', tool.launchUrl],
              ['Address of our public keys', tool.jwksUrl],
            ] as const
          ).map(([word, address]) => (
            <div key={word} className="contents">
              <dt className="font-semibold">{word}</dt>
              <dd className="figures break-all">{address}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section className="mt-8">
        <h2 className="text-xl mb-2">Platforms</h2>
        <p role="status">{said}</p>
        {platforms.length === 0 && <p className="text-mute">None yet.</p>}
        <ul className="divide-y divide-rule border-y border-rule empty:border-0">
          {platforms.map((platform) => (
            <li key={platform.id} className="flex flex-wrap items-center gap-3 py-2">
              <div className="grow min-w-0">
                <p className="font-semibold">{platform.name}</p>
                <p className="figures text-sm text-mute break-all">
                  {platform.issuer} · {platform.clientId} · {platform.deployments.join(', ')}
                </p>
              </div>
              <button type="button" className="btn btn-edge btn-sm" onClick={() => setLeaving(platform)}>
                Remove
              </button>
            </li>
          ))}
        </ul>
      </section>
      <NewPlatform
        onAdded={(page, name) => {
          setPage(page);
          setSaid(`${name} may launch us now.`);
        }}
      />
      {leaving && (
        <Confirm
          title={`Remove ${leaving.name}?`}
          action="Remove it"
          forGood
          onConfirm={() => void remove(leaving)}
          onClose={() => setLeaving(null)}
        >
          <p>Nobody is launched by it any more, and no mark is sent to it. Its courses and people stay here.</p>
        </Confirm>
      )}
    </>
  );
}

function NewPlatform({ onAdded }: { onAdded: (page: PlatformsPage, name: string) => void }) {
  const { register, handleSubmit, formState, refused, reset } = useRequestForm(newPlatform, {
    ...{ name: '', issuer: '', clientId: '', authUrl: '', tokenUrl: '', jwksUrl: '' },
    deployments: [''],
  });
  const { errors } = formState;
  return (
    <form
      noValidate
      className="mt-8"
      onSubmit={handleSubmit(async (body) => {
        const answer = await api('POST /api/platforms', { body });
        if (!answer.ok) return refused(answer.error);
        reset();
        onAdded(answer.value, body.name);
      })}
    >
      <h2 className="text-xl mb-2">Add a platform</h2>
      <p className="text-mute mb-3 max-w-prose">
        One with the same issuer and client id gets these addresses, and the deployment too.
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        {FIELDS.map(([name, label, hint]) => (
          <Field
            key={name}
            label={label}
            {...(hint ? { hint } : {})}
            problem={errors[name]?.message}
            {...register(name)}
          />
        ))}
        <Field label="Deployment id" problem={errors.deployments?.[0]?.message} {...register('deployments.0')} />
      </div>
      {errors.root && (
        <p role="alert" className="text-brick mt-2">
          {errors.root.message}
        </p>
      )}
      <button type="submit" className="btn btn-primary mt-4" disabled={formState.isSubmitting}>
        Add it
      </button>
    </form>
  );
}
