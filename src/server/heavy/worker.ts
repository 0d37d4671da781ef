import { parentPort } from 'node:worker_threads';
import { answerOn } from './answer-on';

if (parentPort) answerOn(parentPort);
