import { useRef, useState } from 'react';
import { ComingRows, Trouble } from '../../shared/Notice';
import { Pillars } from '../shell/Pillars';
import { FirstSteps } from './FirstSteps';
import { HoursPane } from './HoursPane';
import { useSetup, type Setup } from './queries';
import { sections } from './sections';
import './setup.css';
import { SetupIndex } from './SetupIndex';
import { useShown } from './shown';
import { NewStaff, StaffPane } from './StaffPane';
import { useHits } from './useHits';
import { NewService, NewStage, ServicePane, StagePane } from './WorkPane';

/** How the business is set up: one sheet, its index, and what is open of it. */
export function SetupScreen() {
  const setup = useSetup();
  const [shown, show] = useShown();
  const [part, setPart] = useState(0);
  const [wanted, setWanted] = useState('');
  const sheet = useRef<HTMLDivElement>(null);
  const [hits, look] = useHits(sheet);
  const [seen, setSeen] = useState(shown);
  if (seen !== shown) {
    setSeen(shown);
    if (shown) setPart(2);
  }
  const go = (key: string) => {
    setPart(1);
    // On a narrow screen the sheet is there only after this.
    setTimeout(() => {
      const section = document.getElementById(`setup-${key}`);
      section?.scrollIntoView({ block: 'start' });
      section?.focus({ preventScroll: true });
    });
  };
  const trouble = setup.error && (
    <Trouble title="Not loaded" again={() => void setup.refetch()}>
      {setup.error.message}
    </Trouble>
  );
  return (
    <Pillars
      title="Setup"
      shown={part}
      onShow={setPart}
      pillars={[
        {
          name: 'Sections',
          width: '284px',
          folds: true,
          content: (
            <SetupIndex
              setup={setup.data}
              hits={hits}
              wanted={wanted}
              onWant={(text) => {
                setWanted(text);
                look(text);
              }}
              onGo={go}
            />
          ),
        },
        {
          name: 'Sheet',
          sheet: true,
          width: '612px',
          middling: '1fr',
          wide: '720px',
          content: (
            <div className="sheet-body" ref={sheet}>
              {trouble ??
                (setup.data ? (
                  sections.map((section, i) => (
                    <section
                      key={section.key}
                      id={`setup-${section.key}`}
                      data-section={section.key}
                      className="setup-section"
                      aria-label={section.title}
                      tabIndex={-1}
                    >
                      <span className="margin-number" aria-hidden="true">
                        {i + 1}
                      </span>
                      <div>{section.show(setup.data)}</div>
                    </section>
                  ))
                ) : (
                  <ComingRows rows={10} />
                ))}
            </div>
          ),
        },
        {
          name: 'Open',
          width: '1fr',
          middling: '340px',
          content: setup.data ? (
            <Opened key={shown} setup={setup.data} shown={shown} onDone={() => show(null)} />
          ) : null,
        },
      ]}
    />
  );
}

/** What is open beside the sheet. */
function Opened({ setup, shown, onDone }: { setup: Setup; shown: string; onDone: () => void }) {
  const [kind = '', id = ''] = shown.split('.');
  const staff = setup.staff.find((one) => one.id === id);
  const service = setup.services.find((one) => one.id === id || (kind === 'service' && one.key === id));
  const stage = setup.stages.find((one) => one.id === id);
  if (shown === 'new.staff') return <NewStaff setup={setup} onDone={onDone} />;
  if (shown === 'new.service') return <NewService setup={setup} onDone={onDone} />;
  if (shown === 'new.stage') return <NewStage onDone={onDone} />;
  if (kind === 'hours') return <HoursPane hours={setup.hours} day={Number(id)} onDone={onDone} />;
  if (staff) return <StaffPane one={staff} setup={setup} onDone={onDone} />;
  if (service) return <ServicePane service={service} setup={setup} />;
  if (stage) return <StagePane stage={stage} setup={setup} />;
  if (setup.business.projects === 0) return <FirstSteps setup={setup} />;
  return (
    <p className="second setup-nothing">
      Press a line to open it here; a fact is edited where it stands. Everything is saved alone and can be undone.
    </p>
  );
}
