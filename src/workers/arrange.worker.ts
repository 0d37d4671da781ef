import { expose } from 'comlink';
import { arrangeService } from './service';

expose(arrangeService());
