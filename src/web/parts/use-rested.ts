import { useEffect, useState } from 'react'

/** Before what takes long is worked out anew, ms: what is being typed or pulled is painted first. */
const REST = 250

/** A value as it was when it last stayed the same for a while; at first as it is. */
export function useRested<T>(value: T): T {
  const [rested, setRested] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), REST)
    return () => clearTimeout(timer)
  }, [value])
  return rested
}
