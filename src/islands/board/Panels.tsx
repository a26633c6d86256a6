import type { Question } from '../../core';
import type { BoardQuestion } from './boardQuestion';
import { ClockPanel } from './ClockPanel';
import type { PanelName } from './Controls';
import type { ClassStore } from './classState';
import { MorePanel } from './MorePanel';
import { QuestionsPanel } from './QuestionsPanel';
import { type ShownSource, SourcesPanel } from './SourcesPanel';
import { TeamsPanel } from './TeamsPanel';
import { TurnsPanel } from './TurnsPanel';
import type { BoardClock } from './useBoardClock';

export interface PanelsProps {
  panel: PanelName | null;
  store: ClassStore;
  title: string;
  questions: readonly Question[];
  beside: readonly ShownSource[];
  at: number;
  shown: BoardQuestion;
  clock: BoardClock;
  racing: boolean;
  onPanel: (panel: PanelName | null) => void;
  onGo: (to: number) => void;
  onRace: (on: boolean) => void;
  onHide: () => void;
  onKeep: () => void;
}

/** The panel of the controls that is open. */
export function Panels(props: PanelsProps) {
  const { panel, store, title, questions, beside, at, shown, clock, racing, onPanel, onGo, onRace, onHide, onKeep } =
    props;
  const best = store((s) => s.best[questions[at]?.id ?? '']);
  const player = shown.state((s) => s.player);
  const hintsLeft = player((s) => s.hintsLeft);
  const close = () => onPanel(null);
  switch (panel) {
    case null:
      return null;
    case 'turns':
      return <TurnsPanel store={store} onClose={close} />;
    case 'teams':
      return <TeamsPanel store={store} racing={racing} onRace={onRace} onClose={close} />;
    case 'clock':
      return (
        <ClockPanel
          store={store}
          clock={clock}
          best={best?.day === new Date().toDateString() ? best.seconds : null}
          onClose={close}
        />
      );
    case 'questions':
      return <QuestionsPanel questions={questions} at={at} onGo={onGo} onClose={close} />;
    case 'sources':
      return <SourcesPanel sources={beside} onClose={close} />;
    case 'more':
      return (
        <MorePanel
          store={store}
          title={title}
          onPanel={onPanel}
          onHide={onHide}
          onHint={hintsLeft > 0 ? () => player.getState().hint() : null}
          onKeep={onKeep}
        />
      );
  }
}
