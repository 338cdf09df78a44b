// Takes the last build of the package it is run in away: what was moved since must not answer under its old name.
import { rmSync } from 'node:fs';

rmSync('dist', { recursive: true, force: true });
