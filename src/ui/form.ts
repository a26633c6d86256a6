import { yupResolver } from '@hookform/resolvers/yup';
import { type DefaultValues, type FieldValues, type Path, type Resolver, useForm } from 'react-hook-form';
import type { ObjectSchema } from 'yup';
import type { ApiError } from './api';

/**
 * A form over a schema of the contract: what the server would refuse is said at its field before it is sent. `refused`
 * says at their fields what it refuses all the same, and the rest at the root.
 */
export function useRequestForm<Values extends FieldValues>(
  schema: ObjectSchema<Values>,
  defaultValues: NoInfer<DefaultValues<Values>>,
) {
  // The resolver's types tell apart what is typed and what it is read as; the schemas of the contract turn nothing into
  // another type.
  const resolver = yupResolver(schema as ObjectSchema<FieldValues>) as unknown as Resolver<Values>;
  const form = useForm<Values>({ resolver, defaultValues });
  const refused = ({ message, nextStep, problems = [] }: ApiError) => {
    const known = problems.filter(({ path }) => path in defaultValues);
    for (const problem of known) form.setError(problem.path as Path<Values>, { message: problem.message });
    const words =
      problems.length > known.length ? problems.find((problem) => !known.includes(problem))?.message : undefined;
    if (known.length === 0 || words) form.setError('root', { message: `${message}. ${words ?? nextStep}` });
  };
  return { ...form, refused };
}
