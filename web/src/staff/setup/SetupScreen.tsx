import { ComingRows, Trouble } from '../../shared/Notice';
import { Pillars } from '../shell/Pillars';
import { CustomFields } from './CustomFields';
import { IntakeSetup } from './IntakeSetup';
import { MatchingSetup } from './MatchingSetup';
import { useSetup } from './queries';
import './setup.css';

/** How the business takes submissions, and the fields it added to its records. */
export function SetupScreen() {
  const setup = useSetup();
  return (
    <Pillars
      title="Setup"
      pillars={[
        {
          name: 'Intake',
          width: '340px',
          content: (
            <>
              <div className="pillar-head">
                <h1>Setup</h1>
              </div>
              {setup.data && <IntakeSetup key={JSON.stringify(setup.data)} setup={setup.data} />}
              {setup.data && <MatchingSetup key={`m${JSON.stringify(setup.data)}`} setup={setup.data} />}
            </>
          ),
        },
        {
          name: 'Own fields',
          width: '1fr',
          tally: setup.data?.customFields.filter((field) => !field.retired).length,
          content: setup.error ? (
            <Trouble title="Not loaded" again={() => void setup.refetch()}>
              {setup.error.message}
            </Trouble>
          ) : setup.data ? (
            <CustomFields fields={setup.data.customFields} />
          ) : (
            <ComingRows rows={6} />
          ),
        },
      ]}
    />
  );
}
