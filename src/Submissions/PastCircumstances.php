<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Answers\SubmissionReader;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\Triggers\Received;
use Telamon\Core\Rules\Triggers\Unfinished;
use Telamon\Core\Time\OpeningHours;
use Telamon\Forms\FormVersion;

/** What rules may ask about, of submissions that came and of those that come. */
final readonly class PastCircumstances
{
    public function __construct(
        private Connection $db,
        private EntityManagerInterface $em,
        private Profile $business,
        private ClockInterface $clock,
        private SubmissionReader $reader,
        private ClientMatcher $matcher,
        private Directory $directory,
    ) {
    }

    public function of(Submission $submission): Circumstances
    {
        $facts = $this->facts(
            $submission->formVersion,
            $submission->answers,
            $submission->channel,
            $submission->receivedAt,
            array_values(array_filter($submission->origin->campaign, \is_string(...))),
            null === $submission->continueBy,
            $this->business->hours(),
        );

        return null !== $submission->continueBy && $submission->continueBy <= $this->clock->now() ? $facts->after([new Received(), new Unfinished()]) : $facts;
    }

    /**
     * The newest first. Whether a client was known is told by whether they were on file before that submission came, and
     * where nobody has said who it is, by matching as a plan does; their tags are those of today.
     *
     * @param list<string> $forms address endings; all where empty
     *
     * @return iterable<array{Circumstances, string, string, string}> with id, number and name, and when
     */
    public function since(\DateTimeImmutable $since, \DateTimeImmutable $until, int $offset, int $most, array $forms = []): iterable
    {
        $utc = new \DateTimeZone('UTC');
        $hours = $this->business->hours();
        $versions = [];
        $rows = $this->db->iterateAssociative(
            'SELECT s.id, s.number, s.name, s.answers, s.channel, s.campaign, s.received_at, s.continue_by, s.form_version_id, s.client_id, c.since, c.tags, EXISTS (SELECT 1 FROM submission e WHERE e.client_id = s.client_id AND e.received_at < s.received_at) AS earlier FROM submission s LEFT JOIN client c ON c.id = s.client_id WHERE s.received_at >= ? AND s.received_at <= ?'.([] === $forms ? '' : ' AND s.form_id IN (SELECT id FROM form WHERE slug IN (?))').' ORDER BY s.received_at DESC, s.id DESC LIMIT ? OFFSET ?',
            [$since->setTimezone($utc)->format('Y-m-d H:i:s'), $until->setTimezone($utc)->format('Y-m-d H:i:s'), ...([] === $forms ? [] : [$forms]), $most, $offset],
            [] === $forms ? [] : [2 => ArrayParameterType::STRING],
        );
        foreach ($rows as $row) {
            $versionId = self::text($row, 'form_version_id');
            $version = $versions[$versionId] ??= $this->em->find(FormVersion::class, $versionId);
            if (null === $version) {
                continue;
            }
            $at = new \DateTimeImmutable(self::text($row, 'received_at'), $utc);
            [$answers, $campaign] = [json_decode(self::text($row, 'answers'), true), json_decode(self::text($row, 'campaign'), true)];
            $facts = $this->facts(
                $version,
                \is_array($answers) ? $answers : [],
                self::text($row, 'channel'),
                $at,
                array_values(array_filter(\is_array($campaign) ? $campaign : [], \is_string(...))),
                '' === self::text($row, 'continue_by'),
                $hours,
            );
            $client = '' === self::text($row, 'client_id')
                ? $this->matched($version, \is_array($answers) ? $answers : [])
                : ('1' === (string) (\is_scalar($row['earlier'] ?? null) ? $row['earlier'] : '') || ('' !== self::text($row, 'since') && self::text($row, 'since') < $at->format('Y-m-d')) ? 'known' : 'new');
            $known = 'known' === $client;
            $tags = json_decode(self::text($row, 'tags'), true);
            $over = self::text($row, 'continue_by');
            if ('' !== $over && $over <= $this->clock->now()->setTimezone($utc)->format('Y-m-d H:i:s')) {
                $facts = $facts->after([new Received(), new Unfinished()]);
            }
            yield [
                $facts->with(['@client' => $client, '@client_tags' => $known && \is_array($tags) ? array_values(array_filter($tags, \is_string(...))) : []]),
                self::text($row, 'id'),
                self::text($row, 'number').' '.self::text($row, 'name'),
                $at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            ];
        }
    }

    /**
     * Whom a plan would take them for; empty where it would ask.
     *
     * @param array<array-key, mixed> $answers
     */
    private function matched(FormVersion $version, array $answers): string
    {
        $candidates = $this->matcher->candidates($this->reader->read($version->definition(), $answers), $this->directory);

        return match (($candidates[0] ?? null)?->judgement->verdict) {
            null => 'new',
            Verdict::Same => 'known',
            Verdict::Household => 'household',
            default => '',
        };
    }

    /**
     * @param array<array-key, mixed> $answers
     * @param list<string> $campaign
     */
    public function facts(
        FormVersion $version,
        array $answers,
        string $channel,
        \DateTimeImmutable $at,
        array $campaign,
        bool $finished,
        ?OpeningHours $hours = null,
    ): Circumstances {
        $hours ??= $this->business->hours();
        $files = 0;
        foreach ($version->definition()->questions() as $question) {
            $files += $question->type->isFiles() && \is_array($answers[$question->key] ?? null) ? \count($answers[$question->key]) : 0;
        }

        return new Circumstances($version->form->slug, $version->definition()->understood($answers), $at->setTimezone($this->business->zone())->format('Y-m-d'), $version->definition()->dayOrder, [
            '@channel' => $channel, '@hours' => $hours->isOpen($at) ? 'inside' : 'outside', '@files' => (string) $files, '@campaign' => $campaign,
            '@finished' => $finished ? 'yes' : 'no',
        ]);
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name] ?? null) ? $row[$name] : '';
    }
}
