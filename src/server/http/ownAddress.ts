import type { Config } from '../config';

/** Our own address, without a path: the public one, else the one a request came by. */
export const ownAddress = ({ publicUrl }: Pick<Config, 'publicUrl'>, request: Request): string =>
  (publicUrl ?? new URL(request.url)).origin;
