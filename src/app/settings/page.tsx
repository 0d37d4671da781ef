import { loadSettings } from '../../server/load-settings';
import { SettingsScreen } from '../../ui/settings/SettingsScreen';

export const dynamic = 'force-dynamic';

export default async function SettingsPage() {
  return <SettingsScreen settings={await loadSettings()} />;
}
