'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconSearch } from '../icons';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { undoKits } from '../../server/kit-actions';
import type { KitsPage } from '../../server/kits';
import { Messages } from '../screen/Messages';
import { GLASS } from '../theme';
import { SavedNote, Screen } from '../screen/Screen';
import { Side, Split } from '../screen/Split';
import { UndoRedo } from '../UndoRedo';
import { Waiting } from '../Waiting';
import { sayKitDeed } from '../../core/kit/deed';
import { useKitName } from '../kit-names';
import { PieceDefs } from '../sticker/PieceDefs';
import { SAID } from '../patient-queue';
import { useRun } from '../use-run';
import { FactsForm } from './FactsForm';
import { KitList } from './KitList';
import { Orders } from './Orders';
import { SearchResults } from './SearchResults';
import { Supplies } from './Supplies';
import { Table } from './Table';
import { TakeKitDialog } from './TakeKitDialog';
import { ThisKit } from './ThisKit';
import { WeeksAhead } from './WeeksAhead';
import { Choice } from '../fields/Choice';

const NumbersGrid = dynamic(() => import('./NumbersGrid'), { loading: () => <Waiting /> });
/** So many of them are of the kit that is chosen; the others of all kits. */
const OF_ONE = 3;
const TABS = ['On the table', 'Numbers', 'Its card', 'Weeks ahead', 'Order list', 'Supplies'];

/** Every kit as its sheets lie on the table; what the coming weeks lack, and what to order. */
export function KitsScreen({ page }: { page: KitsPage }) {
  const router = useRouter();
  const called = useKitName();
  const { run, busy, refreshing, saveStatus, messages, clear, question } = useRun();
  const [tab, setTab] = useState(0);
  const [search, setSearch] = useState('');
  const [goesWith, setGoesWith] = useState<string | null>(null);
  const [taking, setTaking] = useState(false);
  const { chosen, history } = page;
  const step = (way: 'undo' | 'redo') => void run(() => undoKits({ way, step: page.history.at[way] }));
  const low = page.supplies.filter((s) => s.amount <= s.warnAt).length;
  const toOrder = page.orders.filter((o) => o.state === 'to order').length;
  const words = search.trim();
  const none = (
    <Typography color="text.secondary">
      No kit yet. Scan its sheets, or add one from a file or a usual list of contents.
    </Typography>
  );
  return (
    <Screen
      fill
      title={`Kits${chosen ? ` · ${called(chosen.kit.name)}` : ''}`}
      note={<SavedNote>{SAID[saveStatus]}</SavedNote>}
      acts={
        <>
          <UndoRedo
            undo={history.undo && sayKitDeed(history.undo, called)}
            redo={history.redo && sayKitDeed(history.redo, called)}
            onStep={step}
            busy={busy || refreshing}
          />
          <Button color="inherit" component={Link} href="/scan">
            Scan a kit
          </Button>
          <Button color="inherit" onClick={() => setTaking(true)}>
            Add a kit
          </Button>
        </>
      }
    >
      {question}
      <Messages across of={messages} onClose={clear} />
      <Split>
        <Side width={240}>
          <TextField
            fullWidth
            size="small"
            placeholder="coral, laundry, 38x12…"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
            slotProps={{
              htmlInput: { 'aria-label': 'Search all kits' },
              input: {
                startAdornment: (
                  <InputAdornment position="start">
                    <IconSearch size={15} />
                  </InputAdornment>
                ),
              },
            }}
          />
          <Choice
            label="Goes with"
            value={goesWith}
            options={[[null, 'any kit'], ...page.kits.map((k) => [k.name, called(k.name)] as const)]}
            onChange={setGoesWith}
            fullWidth
            sx={{ mt: 1, mb: 0.5 }}
          />
          <KitList kits={page.kits} chosen={chosen?.kit.name ?? null} />
        </Side>
        <Box
          component="main"
          sx={{
            flex: 1,
            minWidth: 0,
            display: 'flex',
            flexDirection: 'column',
            px: { xs: 2, md: 3 },
            pt: 1,
            gap: 1.5,
            minHeight: 0,
          }}
        >
          {words || goesWith ? (
            <SearchResults
              key={`${words} ${goesWith}`}
              words={words}
              goesWith={goesWith}
              onClear={() => {
                setSearch('');
                setGoesWith('');
              }}
            />
          ) : (
            <>
              {chosen && tab < 3 && <PieceDefs pieces={chosen.kit.pieces} />}
              <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
                {[TABS.slice(0, OF_ONE), TABS.slice(OF_ONE)].map((tabs, half) => (
                  <Box key={tabs[0]} sx={{ display: 'flex', alignItems: 'center', minWidth: 0, mr: half ? 'auto' : 2 }}>
                    {half === 1 && (
                      <Typography
                        variant="caption"
                        color="text.secondary"
                        sx={{ borderLeft: `1px solid ${GLASS.edge}`, pl: 2, whiteSpace: 'nowrap' }}
                      >
                        All kits
                      </Typography>
                    )}
                    <Tabs
                      value={tab >= half * OF_ONE && tab < (half + 1) * OF_ONE ? tab : false}
                      onChange={(_, t: number) => setTab(t)}
                      variant="scrollable"
                      aria-label={half ? 'All kits' : 'This kit'}
                      sx={{ minHeight: 40, '& .MuiTab-root': { minHeight: 40, textTransform: 'none' } }}
                    >
                      {tabs.map((t) => {
                        const i = TABS.indexOf(t);
                        const count = i === 4 && toOrder ? `, ${toOrder}` : i === 5 && low ? `, ${low} low` : '';
                        return <Tab key={t} value={i} label={`${t}${count}`} />;
                      })}
                    </Tabs>
                  </Box>
                ))}
                {chosen && tab < 3 && (
                  <>
                    <Button component="a" href={`/kits/${encodeURIComponent(chosen.kit.name)}`} size="small">
                      Export (.csv)
                    </Button>
                    <ThisKit
                      name={chosen.kit.name}
                      facts={chosen.facts}
                      stock={chosen.stock}
                      stashes={page.kits.filter((k) => k.role === 'stash').map((k) => k.name)}
                      run={run}
                      busy={busy}
                      messages={messages}
                      clear={clear}
                    />
                  </>
                )}
              </Box>
              <Box
                role="tabpanel"
                tabIndex={0}
                aria-label={TABS[tab]}
                sx={{
                  flex: 1,
                  minHeight: 0,
                  display: 'flex',
                  flexDirection: 'column',
                  overflowY: tab === 0 ? 'visible' : 'auto',
                }}
              >
                {tab === 0 &&
                  (chosen ? (
                    <Table
                      key={`${chosen.kit.name} ${page.piece ?? ''}`}
                      kit={chosen.kit}
                      stock={chosen.stock}
                      favorites={chosen.favorites}
                      first={page.piece}
                      messages={messages}
                      unit={page.unit}
                      run={run}
                      busy={busy}
                    />
                  ) : (
                    none
                  ))}
                {tab === 1 &&
                  (chosen ? (
                    <NumbersGrid
                      key={chosen.kit.name}
                      kit={chosen.kit.name}
                      stock={chosen.stock}
                      run={run}
                      busy={busy}
                    />
                  ) : (
                    none
                  ))}
                {tab === 2 &&
                  (chosen ? (
                    <FactsForm
                      key={`${chosen.kit.name} ${JSON.stringify(chosen.facts)}`}
                      kit={chosen.kit.name}
                      facts={chosen.facts}
                      run={run}
                      busy={busy}
                    />
                  ) : (
                    none
                  ))}
                {tab === 3 && <WeeksAhead page={page} run={run} busy={busy} />}
                {tab === 4 && <Orders orders={page.orders} today={page.today} run={run} busy={busy} />}
                {tab === 5 && <Supplies supplies={page.supplies} run={run} busy={busy} />}
              </Box>
            </>
          )}
        </Box>
      </Split>
      {taking && (
        <TakeKitDialog
          onClose={() => setTaking(false)}
          onStored={(name) => {
            setTaking(false);
            router.push(`/kits?kit=${encodeURIComponent(name)}`);
            router.refresh();
          }}
        />
      )}
    </Screen>
  );
}
