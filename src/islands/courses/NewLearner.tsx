import { useState } from 'react';
import { newLearner } from '../../contract';
import { api, Field, useRequestForm } from '../../ui';
import type { Learner } from './course';
import { type FirstPassword, PrintSlips } from './Slips';

const blank = { name: '', username: '', password: '' };

interface Props {
  courseId: string;
  /** Its title. */
  course: string;
  onMade: (learner: Learner) => void;
}

export function NewLearner({ courseId, course, onMade }: Props) {
  const [made, setMade] = useState<readonly FirstPassword[]>([]);
  const { register, handleSubmit, reset, refused, setFocus, formState } = useRequestForm(newLearner, blank);
  const { errors } = formState;
  const submit = handleSubmit(async (learner) => {
    const answer = await api('POST /api/courses/{id}/learners', { id: courseId, body: learner });
    if (answer.ok) {
      onMade({
        id: answer.value.id,
        name: learner.name,
        username: learner.username,
        mine: true,
        groups: [],
        pictures: false,
      });
      setMade((all) => [...all, learner]);
      reset(blank);
      return setFocus('name');
    }
    refused(answer.error);
  });
  return (
    <form onSubmit={submit} noValidate className="mt-1">
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Name" autoComplete="off" problem={errors.name?.message} {...register('name')} />
        <Field
          label="User name"
          autoComplete="off"
          autoCapitalize="none"
          problem={errors.username?.message}
          {...register('username')}
        />
        <Field label="First password" autoComplete="off" problem={errors.password?.message} {...register('password')} />
      </div>
      {errors.root && (
        <p role="alert" className="text-brick mt-2">
          {errors.root.message}
        </p>
      )}
      <div className="flex flex-wrap gap-2 mt-3">
        <button type="submit" className="btn btn-edge" disabled={formState.isSubmitting}>
          Make the account
        </button>
        {made.length > 0 && <PrintSlips people={made} course={course} />}
      </div>
    </form>
  );
}
