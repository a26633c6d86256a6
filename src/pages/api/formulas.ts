import { drawFormula, endpoint } from '../../server';

export const POST = endpoint('POST /api/formulas', ({ as, body }) => drawFormula(as, body.tex));
