import { useEffect, useState } from 'react';

/** A value as it is once it has rested for so many ms. */
export function useSettled<T>(value: T, rest = 200): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), rest);
    return () => clearTimeout(timer);
  }, [value, rest]);
  return settled;
}
