import { StrayedBar } from '@/features/invitations/StrayedBar';
import { TellBar } from '@/features/invitations/TellBar';
import { CopyBar } from '@/features/copies/CopyBar';
import { OthersBar } from '@/features/sharing/OthersBar';
import { PausedBar } from '@/features/sharing/PausedBar';
import { StandingBar } from '@/features/tasks/StandingBar';

/** What is asked on every screen: how a task stands, whom to tell, what others did. */
export function AskBars() {
  return (
    <>
      <StandingBar />
      <TellBar />
      <StrayedBar />
      <OthersBar />
      <PausedBar />
      <CopyBar />
    </>
  );
}
