import { ScanScreen } from '../../ui/scan/ScanScreen';
import { scannerAddress } from '../../server/scanner';

export const dynamic = 'force-dynamic';

export default function ScanPage() {
  return <ScanScreen scanner={scannerAddress() !== null} />;
}
