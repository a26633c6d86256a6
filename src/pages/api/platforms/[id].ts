import { endpoint, ownAddress, removePlatformAs } from '../../../server';

export const DELETE = endpoint('DELETE /api/platforms/{id}', ({ as, id, request }) =>
  removePlatformAs(as, id, ownAddress(as.config, request)),
);
