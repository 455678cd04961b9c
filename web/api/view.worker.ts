import { expose } from 'comlink';
import { jobView } from '../../core/scope/job-view.js';

expose({ jobView });
