interface Props<State extends string> {
  label: string;
  views: readonly { state: State; label: string }[];
  state: State;
  onState: (state: State) => void;
}

/** Which part of a list is looked at. */
export function Views<State extends string>({ label, views, state, onState }: Props<State>) {
  return (
    <div className="views" role="group" aria-label={label}>
      {views.map((view) => (
        <button key={view.state} type="button" aria-pressed={view.state === state} onClick={() => onState(view.state)}>
          {view.label}
        </button>
      ))}
    </div>
  );
}
