import { Trouble } from '../../shared/Notice';

interface Props {
  version: number;
  onGoOn: () => void;
  onDiscard: () => void;
}

/** Somebody else saved while this was being written: neither is lost without a word. */
export function Behind({ version, onGoOn, onDiscard }: Props) {
  return (
    <Trouble title="Somebody else saved it meanwhile">
      Version {version} is theirs; what you wrote is still here.{' '}
      <button type="button" className="link-button" onClick={onDiscard}>
        Take theirs
      </button>{' '}
      <button type="button" className="link-button" onClick={onGoOn}>
        Keep mine, to be saved after it
      </button>
    </Trouble>
  );
}
