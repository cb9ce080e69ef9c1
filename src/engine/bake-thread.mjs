// A thread of the server that bakes. The program is TypeScript; tsx runs it as it is, as it does for the command line.
import { register } from 'tsx/esm/api';

register();
const { bakeRequest } = await import('./bake-request.ts');

export default async function bake({ body, query }) {
  const answer = await bakeRequest(body, query);
  return { ...answer, body: answer.body.slice() }; // of its buffer no more than this is copied
}
