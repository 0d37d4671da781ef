import { knownDesigns } from '../../core/scan/offers';
import { allKits } from '../../db/kits';
import { scannerAddress } from '../../server/scanner';
import { store } from '../../server/store';
import { ScanScreen } from '../../ui/scan/ScanScreen';

export const dynamic = 'force-dynamic';

export default async function ScanPage() {
  const kits = await allKits(await store());
  return <ScanScreen scanner={scannerAddress() !== null} known={knownDesigns(kits)} />;
}
