// Starts the thread that plans: it runs from its source, as everything does but the screens.
import { register } from 'tsx/esm/api';

register();
await import('./planningThread.ts');
