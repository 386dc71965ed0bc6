<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\Judgement;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Tests\Fixtures;

/** What a plan does with values that are on file already, of clients and of what the work is done on. */
final class OnFileTest extends TestCase
{
    private const QUESTIONS = [
        ['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'destination' => 'client.name'],
        ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'destination' => 'client.email'],
        ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'destination' => 'client.phone'],
        ['key' => 'home', 'type' => 'address', 'wording' => 'Home', 'destination' => 'client.address'],
        ['key' => 'piano', 'type' => 'short-text', 'wording' => 'Piano', 'destination' => 'asset.description'],
        ['key' => 'make', 'type' => 'short-text', 'wording' => 'Make', 'destination' => 'asset.make'],
        ['key' => 'serial', 'type' => 'short-text', 'wording' => 'Number', 'destination' => 'asset.serial'],
        ['key' => 'place', 'type' => 'address', 'wording' => 'Place', 'destination' => 'asset.place'],
    ];
    private const AS_ON_FILE = [
        'name' => 'Orla Fennick',
        'email' => 'Orla@Example.com',
        'phone' => '020 914 3327',
        'home' => '7 weir cottages Marrowby',
        'piano' => 'Pell upright',
        'make' => 'pell',
        'serial' => '48 217',
        'place' => '7 Weir Cottages, Marrowby',
    ];

    public function testWhatIsOnFileNeedsNoLineHoweverItIsTyped(): void
    {
        self::assertSame(['client', 'asset'], self::about(self::plan(self::AS_ON_FILE)));
    }

    public function testWhatIsMissingOnFileIsFilledInWithoutAsking(): void
    {
        $bare = new KnownClient(
            'c1',
            'Orla Fennick',
            2023,
            [],
            [],
            '',
            [['id' => 'a1', 'description' => 'Pell upright', 'serial' => '', 'make' => '', 'place' => '']],
            [],
            'Orla',
            'Fennick',
        );
        $plan = self::plan(self::AS_ON_FILE, $bare);
        foreach (['field.email', 'field.phone', 'field.address', 'field.asset.make', 'field.asset.serial', 'field.asset.place'] as $key) {
            self::assertSame('add', Fixtures::value(self::line($plan, $key)->effect, 'mode'), $key);
            self::assertNull(self::line($plan, $key)->choice, $key);
        }
    }

    public function testWhatDiffersHasItsUsualChoiceAndCanBeChosenOtherwise(): void
    {
        $differs = [
            'email' => 'o@example.org',
            'phone' => '020 915 0000',
            'home' => '9 Mill Race, Saltfold',
            'make' => 'Thrane',
            'serial' => '99',
            'place' => 'The hall',
        ] + self::AS_ON_FILE;
        $plan = self::plan($differs);
        $chosen = [];
        foreach ($plan->lines as $line) {
            if (str_starts_with($line->key, 'field.')) {
                $chosen[$line->key] = $line->choice?->chosen;
            }
        }
        self::assertSame(
            [
                'field.email' => 'both',
                'field.phone' => 'both',
                'field.address' => 'both',
                'field.asset.make' => 'keep',
                'field.asset.serial' => 'keep',
                'field.asset.place' => 'replace',
            ],
            $chosen,
        );
        self::assertSame([], $plan->open(), 'none of it holds her up');
        $otherwise = self::plan($differs, null, ['field.email' => 'replace', 'field.asset.make' => 'replace', 'field.asset.place' => 'keep']);
        self::assertSame(
            ['replace', 'orla@example.com'],
            [Fixtures::value(self::line($otherwise, 'field.email')->effect, 'mode'), Fixtures::value(self::line($otherwise, 'field.email')->effect, 'old')],
        );
        self::assertSame('Make: Thrane instead of Pell', self::words(self::line($otherwise, 'field.asset.make')));
        self::assertNull(self::line($otherwise, 'field.asset.place')->effect);
    }

    public function testAnAssetMayNotBeKeptTwice(): void
    {
        $line = self::line(self::plan(['place' => 'The hall'] + self::AS_ON_FILE), 'field.asset.place');
        self::assertSame(['keep', 'replace'], array_column($line->choice->options ?? [], 'value'));
    }

    public function testWhoeverIsNewHasNothingOnFile(): void
    {
        $plan = self::plan(self::AS_ON_FILE, null, ['client' => 'new']);
        self::assertSame(['client', 'asset'], self::about($plan));
        self::assertInstanceOf(MakeClient::class, self::line($plan, 'client')->effect);
        self::assertInstanceOf(MakeAsset::class, self::line($plan, 'asset')->effect);
    }

    public function testAFormFilledInBeforehandTellsWhoChangedWhat(): void
    {
        $sent = ['phone' => '020 914 3327', 'home' => '1 Old Street, Marrowby', 'place' => '1 Old Street, Marrowby', 'make' => 'Pell'] + self::AS_ON_FILE;
        $plan = self::plan(['phone' => '020 915 0000', 'home' => '1 Old Street, Marrowby', 'place' => 'The hall'] + self::AS_ON_FILE, sent: $sent);
        self::assertSame(['replace', 'changed by them'], [self::line($plan, 'field.phone')->choice?->chosen, self::line($plan, 'field.phone')->said->reason]);
        self::assertSame(['keep', 'changed here meanwhile'], [self::line($plan, 'field.address')->choice?->chosen, self::line($plan, 'field.address')->said->reason]);
        self::assertSame([null, 'changed by them and here'], [self::line($plan, 'field.asset.place')->choice?->chosen, self::line($plan, 'field.asset.place')->said->reason]);
        self::assertSame(['field.asset.place'], array_map(static fn (PlanLine $line): string => $line->key, $plan->open()));
    }

    /**
     * @param array<string, string> $answers
     * @param array<string, string> $decisions
     * @param array<string, string> $sent
     */
    private static function plan(array $answers, ?KnownClient $known = null, array $decisions = [], array $sent = []): Plan
    {
        $known ??= new KnownClient(
            'c1',
            'Orla Fennick',
            2023,
            ['orla@example.com'],
            ['+353209143327'],
            '7 Weir Cottages, Marrowby',
            [['id' => 'a1', 'description' => 'Pell upright', 'serial' => '48217', 'make' => 'Pell', 'place' => '7 Weir Cottages, Marrowby. Three steps up.']],
            [],
            'Orla',
            'Fennick',
        );
        $form = FormDefinition::fromArray(['title' => 'F', 'pages' => [['key' => 'p', 'questions' => self::QUESTIONS]]]);
        $context = Fixtures::context(
            Fixtures::input(),
            onFile: new OnFile([new Candidate($known, new Judgement(1, 0, Verdict::Same, [], []))]),
            inquiry: new Inquiry(Fixtures::reader()->read($form, $answers), sent: [] === $sent ? null : Fixtures::reader()->read($form, $sent)),
        );

        return Fixtures::planner()->plan($context, $decisions);
    }

    /** @return list<string> keys of the lines about the client and the asset */
    private static function about(Plan $plan): array
    {
        return array_values(array_filter(
            array_map(static fn (PlanLine $line): string => $line->key, $plan->lines),
            static fn (string $key): bool => str_starts_with($key, 'field.') || \in_array($key, ['client', 'asset'], true),
        ));
    }

    private static function line(Plan $plan, string $key): PlanLine
    {
        foreach ($plan->lines as $line) {
            if ($line->key === $key) {
                return $line;
            }
        }
        self::fail("no line $key");
    }

    private static function words(PlanLine $line): string
    {
        return implode('', array_map(static fn (Part $part): string => $part->text, $line->said->parts));
    }
}
