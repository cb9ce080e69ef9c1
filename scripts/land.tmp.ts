import { saltgrassLanding } from '../src/project/samples/saltgrass-landing';
import { bakeFiles, loadFrom, bakeProject } from '../src/engine/bake';
import { Deriver } from '../src/engine/derive';
import { writeFileSync } from 'node:fs';
const t=performance.now();
const r = await bakeProject(saltgrassLanding(), new Deriver(loadFrom(new Map())), {coats:'blended'});
if (!r.ok) console.log(r.problems); else { console.log(performance.now()-t); for (const {name,mesh} of r.value.scene) console.log(name, mesh.indices.length/3); console.log(r.value.scene.reduce((s,o)=>s+o.mesh.indices.length/3,0)); }
const f = await bakeFiles(saltgrassLanding(), new Deriver(loadFrom(new Map())), 'glb','landing',{repeated:'nodes'});
if (f.ok) writeFileSync('/tmp/t/landing.glb', f.value.files[0].bytes);
const validator = (await import('gltf-validator')).default;
if (f.ok) { const v= await validator.validateBytes(f.value.files[0].bytes,{maxIssues:20}); console.log(v.issues.numErrors,v.issues.numWarnings,v.issues.messages.slice(0,5)); }
