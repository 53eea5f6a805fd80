import { useEffect } from 'react';
import { Slot } from 'expo-router';
import { keepSending } from '../src/data/shared';
import { Mishap } from '../src/shell/Mishap';
import { Dress } from '../src/ui/Dress';

export default function Layout() {
  useEffect(keepSending, []);
  return (
    <Dress>
      <Mishap>
        <Slot />
      </Mishap>
    </Dress>
  );
}
