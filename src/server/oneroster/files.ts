import { type RosterPackage, readOneRoster } from '../../formats/oneroster/read';
import { fileChunks } from '../work/fileChunks';

/** Reads an uploaded package, in a worker thread. */
export const readOneRosterFile = (file: string): RosterPackage => readOneRoster(fileChunks(file));
