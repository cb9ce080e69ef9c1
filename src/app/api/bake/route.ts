import { answerBake } from '../../../engine/bake-answer';

export const runtime = 'nodejs';

export const POST = (request: Request): Promise<Response> => answerBake(request);
