<?php

declare(strict_types=1);

namespace Telamon\Tests\Quotes;

use Telamon\Tests\Support\Answer;

/** A business that quotes: its prices, a project that was asked for, quotes drafted, priced and sent. */
trait WritesQuotes
{
    private string $project = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        foreach ([
            ['first-visit', 'First visit', '65.00', 'E48', '13.5'],
            ['string', 'Bass string, made and fitted', '48.00', 'C62', '13.5'],
            ['second', 'Second tuning after six weeks', '85.00', 'C62', '13.5'],
            ['meter', 'Humidity meter', '38.00', 'C62', '23'],
        ] as [$code, $name, $price, $unit, $rate]) {
            $this->post(
                '/api/prices',
                ['item' => [
                    'code' => $code,
                    'name' => $name,
                    'price' => $price,
                    'unit' => $unit,
                    'vat' => ['category' => 'S', 'rate' => $rate],
                    'group' => 'second' === $code ? 'Add if you like' : 'The work',
                ]],
            )
                ->ok(201);
        }
        $this->call('PUT', '/api/prices/setup', $this->usual())->ok();
        $this->inquire(['service' => 'repair', 'place' => '7 Weir Cottages, Marrowby. Three steps up.'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $this->project = $this->id('SELECT id FROM project');
    }

    /** @return array<string, mixed> */
    private function usual(): array
    {
        $row = static fn (array $with): array => $with + ['service' => '', 'question' => '', 'answer' => '', 'code' => '', 'count' => '', 'quantity' => '1', 'optional' => false];

        return [
            'gross' => false,
            'vat' => ['category' => 'S', 'rate' => '13.5'],
            'validDays' => 14,
            'nudgeDays' => 3,
            'deposit' => '20',
            'terms' => 'We ask before any further work.',
            'draftStage' => 'Quote',
            'yesStage' => 'Workshop',
            'rows' => [
                $row(['service' => 'repair', 'code' => 'first-visit']),
                $row(['service' => 'repair', 'code' => 'second', 'optional' => true]),
                $row(['question' => 'place', 'answer' => 'steps']),
            ],
        ];
    }

    private function draft(): Answer
    {
        return $this->post('/api/quotes', ['project' => $this->project]);
    }

    private function priced(Answer $quote): Answer
    {
        $content = $quote->map('content');
        self::assertIsArray($content['lines']);
        self::assertIsArray($content['lines'][2]);
        $content['lines'][2] = ['name' => 'Carry the action away and back', 'price' => '90.00'] + $content['lines'][2];

        return $this->call('PUT', '/api/quotes/'.$quote->text('id'), ['version' => $quote->number('version'), 'content' => $content]);
    }

    private function sent(): string
    {
        $quote = $this->priced($this->draft()->ok(201))->ok();

        return $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $quote->number('version')])->ok()->text('token');
    }

    /** @param int $length of a stroke */
    private static function picture(int $length): string
    {
        $image = imagecreatetruecolor(200, 80) ?: throw new \LogicException('no picture');
        imagesavealpha($image, true);
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, 255, 255, 255, 127));
        imagesetthickness($image, 6);
        imageline($image, 20, 40, 20 + $length, 44, (int) imagecolorallocate($image, 20, 40, 50));
        ob_start();
        imagepng($image);

        return 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
    }
}
