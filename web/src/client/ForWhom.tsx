import Link from '@mui/material/Link';
import { addressOf } from './whereFrom';

/** That a form was opened by a link of somebody's own: whose, and the way round for anybody else. */
export function ForWhom({ who, slug }: { who: string | null; slug: string }) {
  return who ? (
    <p className="carried second">
      For {who}: you need not tell us again who you are. <Link href={addressOf(slug)}>Not {who}?</Link>
    </p>
  ) : (
    <p className="carried second">The link to this form is over. Please tell us who you are; the rest is as it was.</p>
  );
}
