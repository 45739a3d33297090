import type { ReactNode } from 'react';
import { MissingProvider } from '@/features/buy/own/components/missing-provider';
import { UndoKey } from '@/features/changes/components/undo-key';
import { findIngredients } from '@/features/find/actions';
import { GoTo } from '@/features/find/components/go-to';
import { lastBackup } from '@/features/house/backup';
import { BackupNotice } from '@/features/house/components/backup-notice';
import { ModelNotice } from '@/features/house/components/model-change';
import { unseenModelChangesCount } from '@/features/house/queries';
import { frame } from '@/features/people/queries';
import { signOut } from '@/features/people/actions';
import { FlippedMark } from '@/features/weigh/components/flipped-mark';
import { questionsRevision } from '@/features/weigh/saved-questions';
import { askWhy } from '@/features/why/actions';
import { countedLayers } from '@/server/counted-layers';
import { costedWithin, todayIn } from '@/server/kitchen';
import { may, requireWorker, roleWords } from '@/server/session';
import { PageReset } from '@/ui/frame/page-reset';
import { IngredientSearchProvider } from '@/ui/forms/ingredient-search';
import { FormattersProvider } from '@/ui/formatters-context';
import { SaveStatus } from '@/ui/frame/save-status';
import { TopBar } from '@/ui/frame/top-bar';
import { LeaveGuard } from '@/ui/frame/leave-guard';
import { PlainHttp } from '@/ui/frame/plain-http';
import { PersonProvider } from '@/ui/frame/person';
import { ToastProvider } from '@/ui/frame/toasts';
import { WhyProvider } from '@/ui/panels/why';
import { WhenCalculated } from '@/ui/frame/when-calculated';

/** ms for which nobody is told that figures are being worked out. */
const PATIENCE_MS = 700;

export default async function KitchenLayout({ children }: { children: ReactNode }) {
  const who = await requireWorker();
  const [{ name, locale, currency, shownIn }, today] = await Promise.all([
    frame(who),
    todayIn(who.kitchenId),
  ]);
  const counts = await countedLayers();
  const [unseen, backup, questions] = await Promise.all([
    unseenModelChangesCount(who),
    lastBackup(who),
    questionsRevision(who),
  ]);
  const costed = await costedWithin(who.kitchenId, PATIENCE_MS);
  return (
    <FormattersProvider words={{ locale, currency, today, shownIn, counted: counts }}>
      <WhyProvider ask={askWhy}>
        <IngredientSearchProvider find={findIngredients}>
          <PersonProvider id={who.person.id}>
            <ToastProvider>
              <PageReset
                bar={
                  <TopBar
                    kitchen={name}
                    person={who.person.name}
                    role={roleWords(who.role)}
                    byPin={roleWords(who.role) !== who.person.role}
                    signOut={signOut}
                    kept={<SaveStatus person={who.person.id} />}
                    tools={
                      <>
                        {questions !== undefined && <FlippedMark at={questions} />}
                        <GoTo />
                        {may(who.role, 'cook') && <UndoKey />}
                      </>
                    }
                  />
                }
              >
                <LeaveGuard />
                <main id="work" tabIndex={-1}>
                  <PlainHttp />
                  <BackupNotice last={backup} />
                  <ModelNotice unseen={unseen} />
                  <MissingProvider>
                    <WhenCalculated cold={!costed}>{children}</WhenCalculated>
                  </MissingProvider>
                </main>
              </PageReset>
            </ToastProvider>
          </PersonProvider>
        </IngredientSearchProvider>
      </WhyProvider>
    </FormattersProvider>
  );
}
