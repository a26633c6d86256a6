import { ArrowLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Titles } from '../../../contract';
import { LanguageChoice } from '../../../ui/LanguageChoice';
import { phrase } from '../../../words';

interface Props {
  titles: Titles;
  steps?: ReactNode;
  /** Where one comes from; left out: the learner's assignments. */
  back?: { readonly href: string; readonly words: string } | undefined;
  children?: ReactNode;
}

export function Header({ titles, steps, back, children }: Props) {
  return (
    <header className="frame-header">
      <div>
        <p className="frame-title font-heading font-semibold" dir="auto">
          {titles.release}
        </p>
        <p className="text-mute hidden lg:block" dir="auto">
          {titles.course}
        </p>
        {steps}
        <span className="grow max-sm:hidden" />
        {children}
        <LanguageChoice />
        <a className="frame-back link-brass whitespace-nowrap" href={back?.href ?? '/sit'}>
          <span className="max-sm:sr-only">{back?.words ?? phrase('player.allAssignments')}</span>
          <ArrowLeft className="sm:hidden rtl:-scale-x-100" aria-hidden size={22} />
        </a>
      </div>
    </header>
  );
}
