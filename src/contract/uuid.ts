import { string } from 'yup';

/** An id as ours are: a UUID in small letters. */
export const uuid = () => string().matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/, 'has to be a UUID');
