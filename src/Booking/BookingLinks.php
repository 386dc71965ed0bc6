<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Clients\Client;
use Telamon\Diary\Appointment;
use Telamon\Diary\BookingStart;
use Telamon\Http\SignedText;
use Telamon\Projects\Project;
use Telamon\Refusal\NotThere;
use Telamon\Submissions\BookingBegun;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Signed links: to a booking page for somebody who is known, and to an appointment that is booked. */
final readonly class BookingLinks
{
    private const VISIT = 'visit';
    private const DAY = 86_400;

    public function __construct(private SignedText $signed, private EntityManagerInterface $em, #[Autowire(env: 'TELAMON_URL')] private string $address)
    {
    }

    public function forClient(Client $client): string
    {
        return $this->sign("c:{$client->id}:".bin2hex(random_bytes(4)));
    }

    public function forProject(Project $project): string
    {
        return $this->sign("p:{$project->id}:".bin2hex(random_bytes(4)));
    }

    /** @throws NotThere where it is none of ours, or over */
    public function begun(string $token): Begun
    {
        $text = $this->signed->read(BookingBegun::PURPOSE, $token) ?? '';
        $parts = explode(':', $text);
        $id = $parts[1] ?? '';
        $submission = 's' === $parts[0] ? $this->em->find(Submission::class, $id) : null;
        $project = 'p' === $parts[0] ? $this->em->find(Project::class, $id) : null;
        $client = 'c' === $parts[0] ? $this->em->find(Client::class, $id) : $project?->client;
        if (null === $submission && null === $client) {
            throw new NotThere('link, or it is over. Begin again, or ring us');
        }

        if (null !== $submission && SubmissionState::SetAside === $submission->state && 'advertising' === $submission->asideReason) {
            throw new NotThere('link, or it is over. Begin again, or ring us');
        }
        // Of what was signed, not of how the link is spelt; one that was begun before that counts on.
        $before = hash('sha256', $token);
        $id = null === $this->em->find(BookingStart::class, $before) ? hash('sha256', $text) : $before;

        return new Begun($id, $submission, null === $client ? null : $client->mergedInto ?? $client, $project);
    }

    public function visitToken(Appointment $appointment): string
    {
        return $this->signed->sign(self::VISIT, $appointment->id, 400 * self::DAY);
    }

    /** @throws NotThere */
    public function visit(string $token): Appointment
    {
        return $this->em->find(Appointment::class, $this->signed->read(self::VISIT, $token) ?? '') ?? throw new NotThere('link, or it is over. Ring us instead');
    }

    /** The address of the page of an appointment; empty while nobody has said under which address Telamon is reached. */
    public function visitAddress(Appointment $appointment): string
    {
        return '' === $this->address ? '' : rtrim($this->address, '/').'/visit/'.$this->visitToken($appointment);
    }

    public function pageAddress(string $slug, string $token): string
    {
        return rtrim($this->address, '/')."/book/$slug?t=".rawurlencode($token);
    }

    private function sign(string $text): string
    {
        return $this->signed->sign(BookingBegun::PURPOSE, $text, 60 * self::DAY);
    }
}
