import { yupResolver } from '@hookform/resolvers/yup';
import { type DefaultValues, type FieldValues, type Path, type Resolver, useForm } from 'react-hook-form';
import type { ObjectSchema } from 'yup';
import type { ApiError } from './api';

/**
 * A form with a schema of the contract: problems are shown at their fields before anything is sent. `refused` shows the
 * server's problems at their fields, and the rest at the root.
 */
export function useRequestForm<Values extends FieldValues>(
  schema: ObjectSchema<Values>,
  defaultValues: NoInfer<DefaultValues<Values>>,
) {
  // The resolver's types separate input and output; the schemas of the contract convert nothing.
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
