import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

/** How long a text is as it would be sent, in words. */
export function LengthWords({ length }: { length: Schema<'TextLength'> }) {
  return (
    <p className="second figures">
      {length.places} {length.wide.length > 0 ? 'UCS-2' : 'GSM-7'} places,{' '}
      {length.parts === 1 ? '1 part' : `${length.parts} parts`}, {length.left} left
      {length.wide.length > 0 && `, because of ${length.wide.join(' ')}`}
    </p>
  );
}

/** The same of what is being typed; counted by the server, as it is when it leaves. */
export function TextLength({ text }: { text: string }) {
  const [later, setLater] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setLater(text), 250);
    return () => clearTimeout(timer);
  }, [text]);
  const length = useQuery({
    queryKey: queryKeys.textLength(later),
    queryFn: () => need(api.POST('/api/messages/length', { body: { text: later } })),
    placeholderData: keepPreviousData,
    gcTime: 30_000,
  });
  return length.data ? <LengthWords length={length.data} /> : null;
}
