import { loadSettings } from '../../server/load-settings';
import { listBackups } from '../../server/backup/backup-files';
import { isBackupOld } from '../../server/backup/make-backup';
import { SettingsScreen } from '../../ui/settings/SettingsScreen';

export const dynamic = 'force-dynamic';

export default async function SettingsPage() {
  const backups = listBackups();
  return <SettingsScreen settings={await loadSettings()} backups={backups} old={isBackupOld(backups)} />;
}
