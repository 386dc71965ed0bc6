import Autocomplete from '@mui/material/Autocomplete';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useDeferredValue, useLayoutEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useKey } from '../keys';
import { useSignedIn } from '../session';
import { useFound, type Found } from './find';

/** Finds clients, projects and arrivals from anywhere; goes on from what was typed before it was there. */
export function Find({ begun = '' }: { begun?: string }) {
  const { business } = useSignedIn();
  const [typed, setTyped] = useState(begun);
  const deferred = useDeferredValue(typed.trim());
  const { data: found, isFetching, error } = useFound(deferred);
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  useKey('find', () => input.current?.focus());
  // Before anything else is typed: what comes meanwhile must not go elsewhere.
  useLayoutEffect(() => {
    input.current?.focus();
    input.current?.setSelectionRange(begun.length, begun.length);
  }, [begun]);
  const roomy = useMediaQuery('(min-width: 1180px)', { noSsr: true });
  const asked = deferred.length > 1;
  return (
    <Autocomplete<Found>
      className="find"
      options={asked ? (found ?? []) : []}
      groupBy={(item) => item.group}
      getOptionLabel={(item) => item.label}
      getOptionKey={(item) => `${item.group} ${item.path} ${item.label}`}
      filterOptions={(options) => options}
      value={null}
      inputValue={typed}
      onInputChange={(_, value, reason) => {
        // At its beginning it would put what is chosen, nothing, in the place of what was typed.
        if (reason !== 'reset') setTyped(reason === 'selectOption' ? '' : value);
      }}
      onChange={(_, item) => {
        if (!item) return;
        setTyped('');
        input.current?.blur();
        void navigate(item.path);
      }}
      open={asked}
      noOptionsText={
        error
          ? 'The search could not be made. Try again.'
          : isFetching
            ? 'Looking…'
            : 'Nobody and nothing by that name.'
      }
      loading={isFetching && !found}
      loadingText="Looking…"
      autoHighlight
      clearOnEscape
      popupIcon={null}
      clearIcon={null}
      slotProps={{ paper: { className: 'find-paper' }, popper: { placement: 'bottom-end' } }}
      renderOption={(props, item) => {
        const { key, ...rest } = props;
        return (
          <li key={key} {...rest}>
            <span>{item.label}</span>
            <span className="second">{item.second}</span>
          </li>
        );
      }}
      renderInput={(params) => (
        <div ref={params.slotProps.input.ref} className="find-field">
          <input
            {...params.slotProps.htmlInput}
            ref={(element: HTMLInputElement | null) => {
              input.current = element;
              const given = params.slotProps.htmlInput.ref as unknown;
              if (typeof given === 'function') (given as (e: HTMLInputElement | null) => void)(element);
              else if (given && typeof given === 'object')
                (given as { current: HTMLInputElement | null }).current = element;
            }}
            type="text"
            aria-label={`Find a client, ${business.assetWord} or number`}
            placeholder={roomy ? `Find a client, ${business.assetWord} or number` : 'Find'}
          />
          <kbd aria-hidden="true">/</kbd>
        </div>
      )}
    />
  );
}
