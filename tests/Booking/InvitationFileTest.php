<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Doctrine\ORM\EntityManagerInterface;
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
        $appointment = new Appointment('Tuning; with, signs', '7 Weir Cottages, Marrowby', $teo, null, new \DateTimeImmutable('2027-03-29T10:00:00+01:00'), new \DateTimeImmutable('2027-03-29T11:00:00+01:00'), $this->clock->now());
        $appointment->isOf($tuning, []);
        $appointment->isKnownAs('fixture@telamon');
        $appointment->bookedBy('Órla Fennick', 'orla@example.com', '', null);
        self::assertStringEqualsFile(__DIR__.'/../fixtures/invitation.ics', $invitation->make($appointment, 'REQUEST', 2, 'orla@example.com', 'https://marrowby.example/visit/x'));
    }
}
