import type { CourseParts, CourseView, LearnerRow, ReleaseRow, Wire } from '../../contract';
/** A course as the server sends it (src/server/courses/courses.ts). */
export type Course = Wire<CourseView>;
export type Release = Wire<ReleaseRow>;
export type Parts = CourseParts;
export type Learner = LearnerRow;
