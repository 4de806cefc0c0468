// Every kind of background run there is.

import type { Job } from './job';
import { runJob } from './run';
import { surveyJob } from './survey';

export const jobs: readonly Job[] = [surveyJob, runJob];
