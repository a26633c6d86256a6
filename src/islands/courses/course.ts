/** A course as the server sends it (src/server/courses/courses.ts). */
export interface Course {
  id: string;
  title: string;
  owner: string;
  right: 'own' | 'teach';
  archived: boolean;
  learners: number;
  join: { code: string; until: string | null } | null;
  units: { id: string; title: string }[];
  releases: Release[];
  zone: string | null;
  revision: number;
}
export interface Release {
  id: string;
  title: string;
  unitId: string | null;
  opensAt: string | null;
  dueAt: string | null;
  closesAt: string | null;
  practice: boolean;
  createdAt: string;
  edition: number;
  sat: number;
}
export interface Parts {
  units: { id: string; title: string }[];
  categories: { id: string; title: string; weight: number }[];
  groups: { id: string; title: string; learners: number; revision: number }[];
  unitsRevision: number;
  categoriesRevision: number;
  zone: string | null;
}
export interface Learner {
  id: string;
  name: string;
  username: string | null;
  mine: boolean;
  groups: string[];
}
