import type { Question } from '../types';
import { address } from './address';
import { addressParts } from './addressParts';
import { anyOf } from './anyOf';
import { consent } from './consent';
import { country } from './country';
import { day } from './day';
import { daySpan } from './daySpan';
import { dayTime } from './dayTime';
import { email } from './email';
import { files } from './files';
import { hidden } from './hidden';
import { lines } from './lines';
import { longText } from './longText';
import { money } from './money';
import { nameParts } from './nameParts';
import { number } from './number';
import { oneOf } from './oneOf';
import { organisation } from './organisation';
import { personName } from './personName';
import { phone } from './phone';
import { rating } from './rating';
import { scale } from './scale';
import { section } from './section';
import { shortText } from './shortText';
import { signature } from './signature';
import { statement } from './statement';
import { time } from './time';
import { yesNo } from './yesNo';
import type { QuestionKind } from './kind';

/** All kinds of questions: one that the contract names and that is missing here does not compile. */
export const kinds: Record<Question['type'], QuestionKind> = {
  'short-text': shortText,
  'long-text': longText,
  'person-name': personName,
  'name-parts': nameParts,
  organisation: organisation,
  email: email,
  phone: phone,
  address: address,
  'address-parts': addressParts,
  number: number,
  money: money,
  day: day,
  time: time,
  'day-time': dayTime,
  'day-span': daySpan,
  'one-of': oneOf,
  'any-of': anyOf,
  'yes-no': yesNo,
  scale: scale,
  rating: rating,
  files: files,
  signature: signature,
  consent: consent,
  lines: lines((type) => kinds[type]),
  statement: statement,
  section: section,
  country,
  hidden: hidden,
};
