<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Consents;

/** Shows templates as the contract has them. */
final readonly class TemplateView
{
    /** Days that are looked back. */
    private const BACK = 90;

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private TemplateChanges $changes,
        private Papers $papers,
        private Consents $consents,
        private Profile $business,
        private ClockInterface $clock,
        private OwnWords $words,
    ) {
    }

    /** @return list<array<string, mixed>> as TemplateRow in the contract, by purpose and name */
    public function rows(): array
    {
        $uses = $this->changes->uses();
        $sent = $this->sent();
        $templates = $this->em->getRepository(MessageTemplate::class)->findBy([], ['name' => 'ASC']);

        return array_map(fn (MessageTemplate $one): array => $this->row($one, $uses[$one->key] ?? [], $sent[$one->key] ?? 0), $templates);
    }

    /** @return array<string, mixed> as Template in the contract */
    public function whole(MessageTemplate $template): array
    {
        $uses = $this->changes->uses()[$template->key] ?? [];

        return $this->row($template, $uses, $this->sent()[$template->key] ?? 0) + [
            'document' => $template->document,
            'textMessage' => $template->textMessage,
            'papers' => $template->papers,
            'answersTo' => $template->answersTo,
            'consent' => $template->consent,
            'textFirst' => $template->textFirst,
            'asks' => $template->asks->value,
            'called' => (object) $this->called($template),
            'consents' => $this->consents->names(),
            'fields' => $this->words->of($template->fields()),
            'usedBy' => $uses,
            'versions' => array_map(
                fn (TemplateVersion $one): array => [
                    'version' => $one->version,
                    'until' => $one->until->setTimezone($this->business->zone())->format(\DATE_RFC3339),
                    'by' => $one->staff->name ?? '',
                ],
                $this->em->getRepository(TemplateVersion::class)->findBy(['template' => $template], ['version' => 'DESC'], 50),
            ),
        ];
    }

    /** @return array<string, string> what can go with it, and what goes with it: words by name or id */
    private function called(MessageTemplate $template): array
    {
        $called = $this->papers->made();
        foreach ($template->papers as $paper) {
            $called += [$paper => $this->papers->called($paper) ?? 'a file that was removed'];
        }

        return $called;
    }

    /**
     * @param list<array{label: string, path: string}> $uses
     *
     * @return array<string, mixed>
     */
    private function row(MessageTemplate $template, array $uses, int $sent): array
    {
        return [
            'id' => $template->id, 'key' => $template->key, 'name' => $template->name, 'purpose' => $template->purpose()->value, 'purposeWords' => $template->purpose()->words(),
            'subject' => $template->subject, 'version' => $template->version, 'retired' => $template->retired,
            'shipped' => TemplateFields::isShipped($template->key), 'uses' => \count($uses), 'sent' => $sent,
            'sentWhen' => TemplateFields::sentWhen($template->key), 'goes' => !$template->off,
            'optional' => TemplateFields::isOptional($template->key),
        ];
    }

    /** @return array<string, int> messages that left in the last 90 days, by key of their template */
    private function sent(): array
    {
        $sent = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT template, COUNT(*) AS n FROM message WHERE state = 'sent' AND queued_at >= ? GROUP BY template",
            [$this->clock->now()->modify('-'.self::BACK.' days')->format('Y-m-d H:i:s')],
        ) as $row) {
            $sent[\is_string($row['template']) ? $row['template'] : ''] = (int) (is_numeric($row['n']) ? $row['n'] : 0);
        }

        return $sent;
    }
}
