import { useEffect } from 'react';
import { Slot } from 'expo-router';
import { keepSending, kitAgain } from '../src/data/shared';
import { Insecure } from '../src/shell/Insecure';
import { Mishap } from '../src/shell/Mishap';
import { Dress } from '../src/ui/Dress';

/** Without it the browser has no store that holds, no locks between tabs and no ids to give. */
const SECURE = window.isSecureContext;

/** A customer's page: nothing of theirs is kept or sent. */
const isShown = (): boolean => window.location.pathname === '/shown';

const KEEPS = SECURE && !isShown();
if (KEEPS) kitAgain();

export default function Layout() {
  useEffect(() => (KEEPS ? keepSending() : undefined), []);
  return (
    <Dress>
      <Mishap>{SECURE ? <Slot /> : <Insecure />}</Mishap>
    </Dress>
  );
}
