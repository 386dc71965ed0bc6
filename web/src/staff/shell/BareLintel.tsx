import { StoneFigure } from '../../shared/Figure';

/** The lintel where nobody is signed in, or where nothing else stands. */
export function BareLintel() {
  return (
    <header className="lintel">
      <span className="wordmark">
        <StoneFigure size={24} />
        <span>Telamon</span>
      </span>
    </header>
  );
}
