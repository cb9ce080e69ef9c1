// Writes docs/project-file.schema.json from the Zod schema.
import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { projectFileSchema } from '../src/project/project-file';

writeFileSync(
  'docs/project-file.schema.json',
  JSON.stringify(z.toJSONSchema(projectFileSchema, { io: 'input' }), null, 2) + '\n',
);
