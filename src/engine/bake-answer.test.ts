import { unzipSync } from 'fflate';
import { setRule } from '../project/commands/runs';
import { encodeProjectFile } from '../project/project-file';
import { causeway } from '../project/samples';
import type { Project } from '../project/schema';
import { answerBake } from './bake-answer';
import { closePool } from './bake-pool';

jest.setTimeout(60_000); // threads start with the whole program

/** The causeway with so many pieces in each run. */
const counted = (count: number): Project =>
  causeway().runs.reduce(
    (all, run) => setRule(all, { run: run.id }, { kind: 'byCount', count, over: 'own', gap: 0 }),
    causeway(),
  );

describe('POST /api/bake', () => {
  const body = encodeProjectFile({ project: causeway(), assets: new Map() });
  const JSON_TYPE = { 'content-type': 'application/json' };
  const send = (query: string, init: RequestInit, limits?: { bytes: number; seconds: number }) =>
    answerBake(new Request(`http://localhost:3000/api/bake${query}`, { method: 'POST', ...init }), limits);
  const ask = (query: string, text = body, limits?: { bytes: number; seconds: number }) =>
    send(query, { body: text, headers: JSON_TYPE }, limits);
  afterAll(closePool);

  it('answers with a GLB, a zip of an OBJ with its materials, or a report', async () => {
    const glb = await ask('');
    expect(glb.headers.get('content-type')).toBe('model/gltf-binary');
    expect(
      Buffer.from(await glb.arrayBuffer())
        .subarray(0, 4)
        .toString(),
    ).toBe('glTF');
    expect((await ask('?format=obj')).headers.get('content-type')).toBe('application/zip');
    const report = await (await ask('?format=report&run=Causeway&frames=3')).json();
    expect(report).toMatchObject({ project: 'Saltgrass Landing', runs: [{ run: 'Causeway' }] });
    expect(report.runs[0].frames).toHaveLength(3);
  });

  it('answers with a sequence as one zip', async () => {
    const answer = await ask('?run=Kerb%20drain&framesRange=2-4&fps=2&format=obj');
    expect(answer.headers.get('content-type')).toBe('application/zip');
    const files = unzipSync(new Uint8Array(await answer.arrayBuffer()));
    const names = [2, 3, 4].flatMap((frame) => [`rattan_000${frame}.obj`, `rattan_000${frame}.mtl`]);
    expect(Object.keys(files)).toEqual(names);
  });

  it('answers with one GLB that moves, and says how far it is off', async () => {
    const answer = await ask('?run=Kerb%20drain&fps=6&moving=joints&most=20');
    expect(answer.headers.get('content-type')).toBe('model/gltf-binary');
    expect(Number(answer.headers.get('x-rattan-off'))).toBeGreaterThan(0);
    const bytes = Buffer.from(await answer.arrayBuffer());
    const json = JSON.parse(bytes.subarray(20, 20 + bytes.readUInt32LE(12)).toString()) as {
      skins: { joints: unknown[] }[];
    };
    expect(json.skins[0].joints).toHaveLength(20);
  });

  it.each([
    ['?moving=bones', body, 400, 'query.invalid'],
    ['?framesRange=4-2', body, 400, 'query.invalid'],
    ['?framesRange=one', body, 400, 'query.invalid'],
    ['?framesRange=9007199254740993-9007199254740993', body, 400, 'query.invalid'],
    ['?framesRange=1000001-1000001', body, 400, 'query.invalid'],
    ['?format=obj&moving=joints', body, 400, 'query.invalid'],
    ['?format=report&framesRange=1-2', body, 400, 'query.invalid'],
    ['?framesRange=1-2&frames=3', body, 400, 'query.invalid'],
    ['?framesRange=1-2&time=1', body, 400, 'query.invalid'],
    ['?most=9', body, 400, 'query.invalid'],
    ['?time=', body, 400, 'query.invalid'],
    ['?time=NaN', body, 400, 'query.invalid'],
    ['?format=png', body, 400, 'query.invalid'],
    ['?colour=red', body, 400, 'query.invalid'],
    ['', 'not json', 400, 'project.not-json'],
    ['', '{}', 400, 'project.foreign'],
    ['', body.replace('"visible": true', '"visible": 7'), 422, 'project.invalid'],
    ['?run=Nowhere', body, 422, 'run.unknown'],
  ])('refuses %s clearly', async (query, text, status, code) => {
    const answer = await ask(query, text);
    expect(answer.status).toBe(status);
    const { problems } = await answer.json();
    expect(problems[0]).toMatchObject({ code });
    expect(problems[0].message.length).toBeGreaterThan(20);
  });

  it('keeps to its limits of size and time', async () => {
    expect((await ask('', body, { bytes: 100, seconds: 30 })).status).toBe(413);
    const late = await ask('', body, { bytes: 1e6, seconds: 0 });
    expect(late.status).toBe(422);
    expect((await late.json()).problems[0].code).toBe('time.limit');
  });

  it.each([
    ['another site', { origin: 'https://example.org' }],
    ['another site, as the browser says', { 'sec-fetch-site': 'cross-site' }],
    ['another port', { origin: 'http://localhost:8080' }],
    ['a page without an origin', { origin: 'null' }],
    ['a name that was bound to this machine', { host: 'rebound.example.org' }],
  ])('is not for %s', async (_, headers) => {
    const answer = await send('', { body, headers: { ...JSON_TYPE, ...headers } });
    expect([answer.status, (await answer.json()).problems[0].code]).toEqual([403, 'request.foreign']);
  });

  it('takes what only a program or its own page can send, and no form', async () => {
    const own = { origin: 'http://localhost:3000', 'sec-fetch-site': 'same-origin', host: 'localhost:3000' };
    expect((await send('', { body, headers: { ...JSON_TYPE, ...own } })).status).toBe(200);
    expect((await send('', { body, headers: { 'content-type': 'text/plain' } })).status).toBe(415);
  });

  it('says that an upload broke off', async () => {
    const broken = new ReadableStream({ pull: (to) => to.error(new Error('aborted')) });
    const answer = await send('', { body: broken, headers: JSON_TYPE, duplex: 'half' } as RequestInit);
    expect([answer.status, (await answer.json()).problems[0].code]).toEqual([400, 'body.broken']);
  });

  it('bakes a few at a time, and asks the others to come again', async () => {
    const answers = await Promise.all(Array.from({ length: 12 }, () => ask('?format=report')));
    const count = (status: number) => answers.filter((answer) => answer.status === status).length;
    expect(count(200)).toBeGreaterThanOrEqual(3);
    expect(count(200) + count(429)).toBe(12);
    expect(answers.find(({ status }) => status === 429)!.headers.get('retry-after')).toBe('5');
  });

  it('refuses what would take too much of its memory before it is made', async () => {
    const many = counted(90_000);
    const answer = await ask('', encodeProjectFile({ project: many, assets: new Map() }));
    expect([answer.status, (await answer.json()).problems[0].code]).toEqual([422, 'bake.too-many-vertices']);
  });

  it('ends a thread that takes too long, and goes on with another', async () => {
    const many = counted(20_000);
    const begun = performance.now();
    const answer = await ask('', encodeProjectFile({ project: many, assets: new Map() }), {
      bytes: 1e6,
      seconds: 1,
    });
    expect([answer.status, performance.now() - begun < 4000]).toEqual([422, true]);
    expect((await ask('?format=report')).status).toBe(200);
  });
});
