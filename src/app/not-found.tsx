import { Lost } from '../ui/screen/Lost';

export default function NotFound() {
  return <Lost />;
}
