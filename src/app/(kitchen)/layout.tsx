import type { ReactNode } from 'react';
import { MissingProvider } from '@/features/buy/own/components/missing-provider';
import { UndoKey } from '@/features/changes/components/undo-key';
import { findIngredients } from '@/features/find/actions';
import { GoTo } from '@/features/find/components/go-to';
import { lastBackup } from '@/features/house/backup';
import { BackupNotice } from '@/features/house/components/backup-notice';
import { ModelNotice } from '@/features/house/components/model-moved';
import { unseenMoves } from '@/features/house/queries';
import { frame } from '@/features/people/queries';
import { signOut } from '@/features/people/actions';
import { FlippedMark } from '@/features/weigh/components/flipped-mark';
import { questionsAt } from '@/features/weigh/kept';
import { askWhy } from '@/features/why/actions';
import { counted } from '@/server/counted';
import { costedWithin, todayIn } from '@/server/kitchen';
import { may, mustWork, roleWords } from '@/server/session';
import { Anew } from '@/ui/anew';
import { FindProvider } from '@/ui/find';
import { FiguresProvider } from '@/ui/figures';
import { HowKept } from '@/ui/how-kept';
import { IronBar } from '@/ui/iron-bar';
import { Leaving } from '@/ui/leaving';
import { PlainHttp } from '@/ui/plain-http';
import { PersonProvider } from '@/ui/person';
import { ToastProvider } from '@/ui/toasts';
import { WhyProvider } from '@/ui/why';
import { WhenWorkedOut } from '@/ui/working-out';

/** ms for which nobody is told that figures are being worked out. */
const PATIENCE_MS = 700;

export default async function KitchenLayout({ children }: { children: ReactNode }) {
  const who = await mustWork();
  const [{ name, locale, currency, shownIn }, today] = await Promise.all([
    frame(who),
    todayIn(who.kitchenId),
  ]);
  const counts = await counted();
  const [unseen, backup, questions] = await Promise.all([
    unseenMoves(who),
    lastBackup(who),
    questionsAt(who),
  ]);
  const costed = await costedWithin(who.kitchenId, PATIENCE_MS);
  return (
    <FiguresProvider words={{ locale, currency, today, shownIn, counted: counts }}>
      <WhyProvider ask={askWhy}>
        <FindProvider find={findIngredients}>
          <PersonProvider id={who.person.id}>
            <ToastProvider>
              <Anew
                bar={
                  <IronBar
                    kitchen={name}
                    person={who.person.name}
                    role={roleWords(who.role)}
                    byPin={roleWords(who.role) !== who.person.role}
                    signOut={signOut}
                    kept={<HowKept person={who.person.id} />}
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
                <Leaving />
                <main id="work" tabIndex={-1}>
                  <PlainHttp />
                  <BackupNotice last={backup} />
                  <ModelNotice unseen={unseen} />
                  <MissingProvider>
                    <WhenWorkedOut cold={!costed}>{children}</WhenWorkedOut>
                  </MissingProvider>
                </main>
              </Anew>
            </ToastProvider>
          </PersonProvider>
        </FindProvider>
      </WhyProvider>
    </FiguresProvider>
  );
}
