<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Rules\RuleFacts;
use Telamon\Core\Rules\Trigger;
use Telamon\Core\Scheduling\OpeningHours;
use Telamon\Forms\FormVersion;
use Telamon\Setup\BusinessFacts;

/** What rules may ask about, of submissions that came and of those that come. */
final readonly class PastFacts
{
    public function __construct(private Connection $db, private EntityManagerInterface $em, private BusinessFacts $facts, private ClockInterface $clock)
    {
    }

    public function of(Submission $submission): RuleFacts
    {
        $facts = $this->facts($submission->formVersion, $submission->answers, $submission->channel, $submission->receivedAt, array_values(array_filter($submission->origin->campaign, \is_string(...))), null === $submission->continueBy, $this->facts->hours());

        return null !== $submission->continueBy && $submission->continueBy <= $this->clock->now() ? $facts->after([Trigger::Received, Trigger::Unfinished]) : $facts;
    }

    /**
     * The newest first. Whether a client was known is told by whether they were on file before that day; their tags
     * are those of today.
     *
     * @return iterable<array{RuleFacts, string, string, string}> with id, number and name, and when
     */
    public function since(\DateTimeImmutable $since, \DateTimeImmutable $until, int $offset, int $most): iterable
    {
        $utc = new \DateTimeZone('UTC');
        $hours = $this->facts->hours();
        $versions = [];
        $rows = $this->db->iterateAssociative(
            'SELECT s.id, s.number, s.name, s.answers, s.channel, s.campaign, s.received_at, s.continue_by, s.form_version_id, c.since, c.tags FROM submission s LEFT JOIN client c ON c.id = s.client_id WHERE s.received_at >= ? AND s.received_at <= ? ORDER BY s.received_at DESC, s.id DESC LIMIT ? OFFSET ?',
            [$since->setTimezone($utc)->format('Y-m-d H:i:s'), $until->setTimezone($utc)->format('Y-m-d H:i:s'), $most, $offset],
        );
        foreach ($rows as $row) {
            $versionId = self::text($row, 'form_version_id');
            $version = $versions[$versionId] ??= $this->em->find(FormVersion::class, $versionId);
            if (null === $version) {
                continue;
            }
            $at = new \DateTimeImmutable(self::text($row, 'received_at'), $utc);
            [$answers, $campaign] = [json_decode(self::text($row, 'answers'), true), json_decode(self::text($row, 'campaign'), true)];
            $facts = $this->facts($version, \is_array($answers) ? $answers : [], self::text($row, 'channel'), $at, array_values(array_filter(\is_array($campaign) ? $campaign : [], \is_string(...))), '' === self::text($row, 'continue_by'), $hours);
            $known = '' !== self::text($row, 'since') && self::text($row, 'since') < $at->format('Y-m-d');
            $tags = json_decode(self::text($row, 'tags'), true);
            $over = self::text($row, 'continue_by');
            if ('' !== $over && $over <= $this->clock->now()->setTimezone($utc)->format('Y-m-d H:i:s')) {
                $facts = $facts->after([Trigger::Received, Trigger::Unfinished]);
            }
            yield [$facts->with(['@client' => $known ? 'known' : 'new', '@client_tags' => $known && \is_array($tags) ? array_values(array_filter($tags, \is_string(...))) : []]), self::text($row, 'id'), self::text($row, 'number').' '.self::text($row, 'name'), $at->setTimezone($this->facts->zone())->format(\DATE_RFC3339)];
        }
    }

    /**
     * @param array<array-key, mixed> $answers
     * @param list<string> $campaign
     */
    public function facts(FormVersion $version, array $answers, string $channel, \DateTimeImmutable $at, array $campaign, bool $finished, ?OpeningHours $hours = null): RuleFacts
    {
        $hours ??= $this->facts->hours();
        $files = 0;
        foreach ($version->definition()->questions() as $question) {
            $files += QuestionType::Files === $question->type && \is_array($answers[$question->key] ?? null) ? \count($answers[$question->key]) : 0;
        }

        return new RuleFacts($version->form->slug, $version->definition()->understood($answers), $at->setTimezone($this->facts->zone())->format('Y-m-d'), $version->definition()->dayOrder, [
            '@channel' => $channel, '@hours' => $hours->isOpen($at) ? 'inside' : 'outside', '@files' => (string) $files, '@campaign' => $campaign, '@finished' => $finished ? 'yes' : 'no',
        ]);
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name] ?? null) ? $row[$name] : '';
    }
}
