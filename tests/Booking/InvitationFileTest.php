<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Process\Process;
use Telamon\Booking\Invitation;
use Telamon\Diary\Appointment;
use Telamon\Diary\VisitType;
use Telamon\Staff\Staff;
use Telamon\Tests\Support\AppTestCase;

/** The invitation as it is written to a file that another implementation (ical.js, in the tests of the browser) reads back. */
final class InvitationFileTest extends AppTestCase
{
    public function testTheFileIsWhatIsWritten(): void
    {
        $em = self::getContainer()->get(EntityManagerInterface::class);
        $invitation = self::getContainer()->get(Invitation::class);
        self::assertInstanceOf(EntityManagerInterface::class, $em);
        self::assertInstanceOf(Invitation::class, $invitation);
        $teo = $em->getRepository(Staff::class)->findOneBy(['initials' => 'TA']);
        $tuning = $em->getRepository(VisitType::class)->findOneBy(['slug' => 'tuning']);
        self::assertInstanceOf(Staff::class, $teo);
        self::assertInstanceOf(VisitType::class, $tuning);
        $appointment = new Appointment(
            'Tuning; with, signs',
            '7 Weir Cottages, Marrowby',
            $teo,
            null,
            new \DateTimeImmutable('2027-03-29T10:00:00+01:00'),
            new \DateTimeImmutable('2027-03-29T11:00:00+01:00'),
            $this->clock->now(),
        );
        $appointment->isOf($tuning, []);
        $appointment->isKnownAs('fixture@telamon');
        $appointment->bookedBy('Órla Fennick', 'orla@example.com', '', null);
        self::assertStringEqualsFile(__DIR__.'/../fixtures/invitation.ics', $invitation->make($appointment, 'REQUEST', 2, 'orla@example.com', 'https://marrowby.example/visit/x'));
    }

    /** Read back by the icalendar package of Python (Debian's python3-icalendar), which shares no code with ours. */
    public function testAFeedAndAnInvitationAreReadBackByAnotherImplementation(): void
    {
        $this->signIn();
        $teo = $this->db()->fetchOne("SELECT id FROM staff WHERE initials = 'TA'");
        $placed = $this->post(
            '/api/appointments',
            [
                'title' => 'Tuning; “with”, signs',
                'staff' => $teo,
                'place' => "7 Weir Cottages, Marrowby\nby the bridge",
                'startsAt' => '2027-03-29T10:00:00+01:00',
                'endsAt' => '2027-03-29T11:30:00+01:00',
            ],
        )
            ->ok(201);
        $this->post('/api/diary/feeds', ['staff' => $teo])->ok(201);
        $feed = $this->get('/api/diary/types')->ok()->text('feeds.0.path');
        $read = $this->read($this->get($feed)->ok()->body);
        self::assertSame(
            [[
                'VEVENT',
                $placed->text('appointment.id').'@telamon',
                '2027-03-29T09:00:00+00:00',
                '2027-03-29T10:30:00+00:00',
                'Tuning; “with”, signs, Marrowby Piano Workshop',
                "7 Weir Cottages, Marrowby\nby the bridge",
                'CONFIRMED',
            ]],
            $read['events'],
        );
        $invitation = $this->read((string) file_get_contents(__DIR__.'/../fixtures/invitation.ics'));
        self::assertSame('REQUEST', $invitation['method']);
        self::assertSame(
            [[
                'VEVENT',
                'fixture@telamon',
                '2027-03-29T09:00:00+00:00',
                '2027-03-29T10:00:00+00:00',
                'Tuning; with, signs, Marrowby Piano Workshop',
                '7 Weir Cottages, Marrowby',
                'CONFIRMED',
            ]],
            $invitation['events'],
        );
    }

    /** @return array{method: mixed, events: mixed} */
    private function read(string $calendar): array
    {
        $script = <<<'PYTHON'
            import icalendar, json, sys
            calendar = icalendar.Calendar.from_ical(sys.stdin.buffer.read())
            assert not calendar.errors, calendar.errors
            events = [[e.name, str(e['UID']), e['DTSTART'].dt.isoformat(), e['DTEND'].dt.isoformat(), str(e['SUMMARY']), str(e.get('LOCATION', '')), str(e['STATUS'])] for e in calendar.walk('VEVENT')]
            print(json.dumps({'method': str(calendar.get('METHOD', '')), 'events': events}))
            PYTHON;
        $python = new Process(['/usr/bin/python3', '-c', $script], input: $calendar);
        $read = json_decode($python->mustRun()->getOutput(), true, 8, \JSON_THROW_ON_ERROR);
        self::assertIsArray($read);

        return ['method' => $read['method'] ?? null, 'events' => $read['events'] ?? null];
    }
}
