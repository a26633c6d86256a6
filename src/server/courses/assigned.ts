import { sql } from 'drizzle-orm';
import { release } from '../database/tables';

/**
 * In a query of releases: how many learners each is for. Those of its course, or of the groups and learners it names;
 * without those who are excused and have not finished it.
 */
export const assignedLearners = sql<number>`(
  select count(*) from course_learner enrolled where enrolled.course_id = ${release.courseId}
    and (${release.everyone} or exists (select 1 from release_for given
      left join group_member member on member.group_id = given.group_id where given.release_id = ${release.id}
      and (given.learner_id = enrolled.learner_id or member.learner_id = enrolled.learner_id)))
    and (not exists (select 1 from grade_remark said
        where said.release_id = ${release.id} and said.learner_id = enrolled.learner_id and said.excused)
      or exists (select 1 from sitting had where had.release_id = ${release.id}
        and had.learner_id = enrolled.learner_id and had.finished_at is not null)))`;
