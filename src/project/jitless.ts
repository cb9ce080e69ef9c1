import { z } from 'zod';

// Zod would try to make code from text, which the content security policy forbids: import this before any schema.
z.config({ jitless: true });
