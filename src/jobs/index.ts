// Every kind of background run there is.

import type { Job } from './job';
import { rehearsalJob } from './rehearsal';
import { runJob } from './run';
import { surveyJob } from './survey';

export const jobs: readonly Job[] = [surveyJob, rehearsalJob, runJob];
