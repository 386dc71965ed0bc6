<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Replies;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Replies\DeliveryReport;
use Telamon\Core\Replies\MachineMail;
use Telamon\Core\Replies\MailOrigin;

/** RFC 3834 (Auto-Submitted), RFC 3464 (reports; its example 9.1 is below), RFC 2919 (List-Id). */
final class MachineMailTest extends TestCase
{
    /** @return array<string, array{MailOrigin, array<string, string>}> */
    public static function mails(): array
    {
        return [
            'a person' => [MailOrigin::Person, ['from' => 'Anna <anna@example.com>', 'subject' => 'Re: Your quote']],
            'said not to be automatic' => [MailOrigin::Person, ['auto-submitted' => 'no']],
            'about office hours' => [MailOrigin::Person, ['subject' => 'Re: can you come out of office hours?']],
            'generated' => [MailOrigin::Machine, ['auto-submitted' => 'auto-generated']],
            'replied' => [MailOrigin::Away, ['auto-submitted' => 'auto-replied; owner-email="a@example.com"']],
            'notified' => [MailOrigin::Machine, ['auto-submitted' => 'auto-notified']],
            'away, by its subject' => [MailOrigin::Away, ['subject' => 'Automatic reply: Your quote']],
            'away, in German' => [MailOrigin::Away, ['subject' => 'Abwesenheitsnotiz: Ihr Angebot']],
            'away, in French' => [MailOrigin::Away, ['subject' => 'Réponse automatique : votre devis']],
            'a list' => [MailOrigin::Person, ['list-id' => '<news.example.org>']],
            'bulk' => [MailOrigin::Person, ['precedence' => 'bulk']],
            'a report' => [MailOrigin::Bounce, ['content-type' => 'multipart/report; report-type=delivery-status; boundary="x"', 'auto-submitted' => 'auto-replied']],
            'a report of before there were any' => [MailOrigin::Bounce, ['from' => 'MAILER-DAEMON@mx.example', 'subject' => 'Undelivered Mail Returned to Sender']],
            'no return path' => [MailOrigin::Machine, ['return-path' => '<>']],
            'nobody to answer' => [MailOrigin::Person, ['from' => 'Shop <no-reply@example.com>']],
        ];
    }

    /** @param array<string, string> $headers */
    #[DataProvider('mails')]
    public function testMachinesAreToldFromPeople(MailOrigin $origin, array $headers): void
    {
        self::assertSame($origin, MachineMail::origin($headers));
    }

    public function testThroughAListOrFromWhoTakesNoAnswersMayBeEither(): void
    {
        foreach ([
            ['list-id' => '<news.example.org>'],
            ['precedence' => 'list'],
            ['precedence' => 'bulk'],
            ['from' => 'Shop <no-reply@example.com>'],
            ['x-auto-response-suppress' => 'All'],
        ] as $headers) {
            self::assertTrue(MachineMail::isUnsure($headers), (string) json_encode($headers));
        }
        self::assertFalse(MachineMail::isUnsure(['from' => 'Anna <anna@example.com>', 'precedence' => 'first-class']));
    }

    public function testAReportIsReadAsTheStandardShowsIt(): void
    {
        $report = DeliveryReport::read(
            "Reporting-MTA: dns; cs.utk.example\n\nOriginal-Recipient: rfc822;louisl@larry.slip.umd.example\nFinal-Recipient: rfc822;louisl@larry.slip.umd.example\nAction: failed\nStatus: 4.0.0\nDiagnostic-Code: smtp; 426 connection timed out\nLast-Attempt-Date: Thu, 7 Jul 1994 17:15:49 -0400\n",
        );

        self::assertNotNull($report);
        self::assertSame([true, '4.0.0', 'louisl@larry.slip.umd.example', '426 connection timed out'], [$report->failed, $report->status, $report->recipient, $report->says]);
        self::assertSame('There is no such address. “550 no”', DeliveryReport::read("Action: failed\nStatus: 5.1.1\nDiagnostic-Code: smtp;\n 550 no\n")?->words());
        self::assertFalse(DeliveryReport::read("Action: delayed\nStatus: 4.4.7")->failed ?? true);
        self::assertNull(DeliveryReport::read('nothing of the kind'));
    }
}
