import { Waiting } from '../ui/Waiting';

export default function Loading() {
  return <Waiting />;
}
