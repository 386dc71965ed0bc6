import { useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { useEffect, useState } from 'react';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type Day = Schema<'Day'>;

/** What the day ruler shows; asked for again every fifteen seconds. */
export function useDay() {
  return useQuery({ queryKey: queryKeys.day, queryFn: () => need(api.GET('/api/day')), refetchInterval: 15_000 });
}

/** Today's date in the business's time zone; the browser's own until the server has said. */
export function useToday(): string {
  return useDay().data?.day ?? DateTime.now().toISODate();
}

/** The server's time, going on between its answers. */
export function useServerNow(day: Day | undefined): DateTime | null {
  const [now, setNow] = useState<DateTime | null>(null);
  const said = day?.now;
  useEffect(() => {
    if (!said) return undefined;
    const base = DateTime.fromISO(said, { setZone: true });
    const started = Date.now();
    const tell = () => setNow(base.plus(Date.now() - started));
    tell();
    const timer = setInterval(tell, 10_000);
    return () => clearInterval(timer);
  }, [said]);
  return now;
}
