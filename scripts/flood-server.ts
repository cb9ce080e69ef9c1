// Asks a server for many bakes at once and tells how long the page waits: npm start, then npm run flood [bakes] [address].
import { assetIdOf } from '../src/project/asset-id';
import { encodeProjectFile } from '../src/project/project-file';
import { saltgrassLanding } from '../src/project/samples';
import { glbOf } from '../src/formats/testing/good-files';
import type { Project } from '../src/project/schema';

const count = Number(process.argv[2] ?? 30);
const address = process.argv[3] ?? 'http://localhost:3000';
/** Milliseconds that the page may take to be answered. */
const WAITS = 500;

const bake = (body: string) =>
  fetch(`${address}/api/bake?format=glb`, { method: 'POST', body, headers: { 'content-type': 'application/json' } });
const page = async (): Promise<number> => {
  const begun = performance.now();
  await (await fetch(address)).text();
  return performance.now() - begun;
};

const project = saltgrassLanding();
await page();
const answers = Promise.all(
  Array.from({ length: count }, () => bake(encodeProjectFile({ project, assets: new Map() }))),
);
let isUnderWay = true;
void answers.finally(() => (isUnderWay = false));
const waited: number[] = [];
while (isUnderWay) {
  waited.push(await page());
  await new Promise((done) => setTimeout(done, 50));
}
const statuses = (await answers).map(({ status }) => status);
const times = (status: number) => statuses.filter((s) => s === status).length;
console.log(
  `${count} bakes: ${times(200)} baked, ${times(429)} asked to come again, ${count - times(200) - times(429)} others`,
);
console.log(`GET /: ${waited.length} times, ${Math.round(Math.max(...waited))} ms at the most`);

// A small mesh that claims fifty million vertices without having them.
const hostile = glbOf({
  asset: { version: '2.0' },
  scenes: [{ nodes: [0] }],
  nodes: [{ mesh: 0 }],
  meshes: [{ primitives: [{ attributes: { POSITION: 0 }, mode: 5 }] }],
  accessors: [{ componentType: 5126, count: 5e7, type: 'VEC3' }],
});
const id = await assetIdOf(hostile);
const [first, ...rest] = project.segments;
const source = { from: 'asset', asset: id, fileName: 'a.glb' } as const;
const claims: Project = { ...project, segments: [{ ...first, source, finishes: [] }, ...rest] };
const answer = await bake(encodeProjectFile({ project: claims, assets: new Map([[id, hostile]]) }));
console.log(`A GLB of ${hostile.length} bytes: ${answer.status}, ${(await answer.text()).slice(0, 160)}`);
console.log(`GET / afterwards: ${Math.round(await page())} ms`);
process.exit(Math.max(...waited) <= WAITS && answer.status === 422 ? 0 : 1);
