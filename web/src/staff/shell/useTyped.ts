import { useEffect, useRef, useState } from 'react';

/**
 * What is typed into a filter, at once on the screen and a moment later in the address: nothing typed is
 * lost when the address is slow to follow. An address that changes by itself wins.
 */
export function useTyped(address: string, onAddress: (text: string) => void): [string, (text: string) => void] {
  const [typed, setTyped] = useState(address);
  const told = useRef(address);
  const tell = useRef(onAddress);
  useEffect(() => {
    tell.current = onAddress;
  });
  useEffect(() => {
    if (address !== told.current) {
      told.current = address;
      setTyped(address);
    }
  }, [address]);
  useEffect(() => {
    if (typed === told.current) return undefined;
    const timer = setTimeout(() => {
      told.current = typed;
      tell.current(typed);
    }, 150);
    return () => clearTimeout(timer);
  }, [typed]);
  return [typed, setTyped];
}
