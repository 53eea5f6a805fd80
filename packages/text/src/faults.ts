import type { AmountFault, TapeFault } from '@steddo/core';
import { rounded, type Wording } from './wording';

/** Why a typed length was not taken, and what would be. */
export function tapeFaultText(fault: TapeFault, say: Wording, example: string): string {
  switch (fault.code) {
    case 'empty':
      return `Takes a length such as ${example}.`;
    case 'not-a-length':
      return `"${fault.text}" is not a length. Takes one such as ${example}.`;
    case 'comma':
      return `A comma can mean two things in "${fault.text}". Write a point, such as 148.3 cm.`;
    case 'negative':
      return 'This cannot be less than nothing. Takes a length without a minus.';
    case 'denominator':
      return `A tape has no ${fault.denominator}ths. Takes halves, quarters, 8ths, 16ths, 32nds, 64ths.`;
    case 'improper':
      return `"${fault.text}" has a fraction of one or more. Write the whole inches first, such as 58 3/8.`;
    case 'twelve-inches':
      return `Inches after feet go up to 12, not ${rounded(fault.inches, 3)}.`;
    case 'too-small':
      return `Takes at least ${say.length(fault.atLeastMm)}.`;
    case 'beyond': {
      const asked = fault.perhapsUnit ? ` Did you mean ${fault.perhapsUnit}?` : '';
      return `${say.length(fault.mm)} is more than fits here; takes up to ${say.length(fault.atMostMm)}.${asked}`;
    }
  }
}

/** Why a typed number was not taken; the range is worded in the unit of the field. */
export function amountFaultText(fault: AmountFault, shown: (value: number) => string): string {
  switch (fault.code) {
    case 'empty':
      return 'Takes a number.';
    case 'not-a-number':
      return `"${fault.text}" is not a number with a unit that this takes.`;
    case 'comma':
      return `A comma can mean two things in "${fault.text}". Write a point.`;
    case 'out-of-range':
      return `Takes ${shown(fault.min)} to ${shown(fault.max)}.`;
  }
}
