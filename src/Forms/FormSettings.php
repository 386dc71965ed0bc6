<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Http\JsonBody;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Changes where and when a form stands: the ending of its address, its days, its limit. */
final readonly class FormSettings
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    /**
     * @param array<array-key, mixed> $body as FormSettings in the contract, with the slug
     *
     * @throws Refusal
     */
    public function change(Form $form, array $body, Staff $staff): void
    {
        $slug = JsonBody::text($body, 'slug', 60);
        if (1 !== preg_match('/^[a-z0-9][a-z0-9-]{0,59}$/', $slug)) {
            throw new InvalidInput('slug', 'Use small letters, figures and hyphens, and begin with a letter or figure.');
        }
        $other = $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug]);
        if (null !== $other && $other !== $form) {
            throw new InvalidInput('slug', "“{$other->title}” has this address already.");
        }
        [$opens, $closes] = [self::day($body, 'opensOn'), self::day($body, 'closesOn')];
        if (null !== $opens && null !== $closes && $closes < $opens) {
            throw new InvalidInput('closesOn', 'It would close before it opens.');
        }
        $limit = $body['limit'] ?? null;
        if (null !== $limit && (!\is_int($limit) || $limit < 1 || $limit > 1_000_000)) {
            throw new InvalidInput('limit', 'Write a whole number from 1, or leave it empty.');
        }
        $closedText = JsonBody::text($body, 'closedText', 1000);
        $sites = self::sites($body);
        $this->changes->carryOut(Act::of(
            ChangeKind::Setup,
            "changed where and when {$form->title} stands",
            $staff,
        )->about($form), static function () use ($form, $slug, $opens, $closes, $limit, $closedText, $sites): void {
            $form->showOn($sites ?? $form->sites);
            $form->standAt($slug);
            $form->takeAnswers($opens, $closes, $limit, $closedText);
        });
    }

    /**
     * Other sites that may show the form, as origins: a scheme, a host, perhaps a port.
     *
     * @param array<array-key, mixed> $body
     *
     * @return list<string>|null null where nothing is said of them
     */
    private static function sites(array $body): ?array
    {
        $given = $body['sites'] ?? null;
        if (null === $given) {
            return null;
        }
        $sites = [];
        foreach (\is_array($given) ? $given : [false] as $site) {
            $site = \is_string($site) ? rtrim(strtolower(trim($site)), '/') : '-';
            if (1 !== preg_match('#^https?://[a-z0-9](?:[a-z0-9.-]{0,250}[a-z0-9])?(?::\d{1,5})?$#', $site)) {
                throw new InvalidInput('sites', 'Write each site like https://www.example.com, one a line.');
            }
            $sites[] = $site;
        }

        return \count($sites) > 20 ? throw new InvalidInput('sites', 'At most 20 sites.') : array_values(array_unique($sites));
    }

    /** @param array<array-key, mixed> $body */
    private static function day(array $body, string $key): ?\DateTimeImmutable
    {
        $text = JsonBody::text($body, $key, 10);
        if ('' === $text) {
            return null;
        }
        if (1 !== preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $m) || !checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw new InvalidInput($key, 'There is no such day. Write it like 2027-06-12.');
        }

        return new \DateTimeImmutable($text, new \DateTimeZone('UTC'));
    }
}
