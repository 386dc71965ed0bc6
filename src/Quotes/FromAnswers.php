<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Business\Profile;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Planning\AskedService;
use Telamon\Core\Quotes\Answered;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\Pricing;
use Telamon\Submissions\ReadAnswers;
use Telamon\Submissions\Submission;

/** What a quote would say for the answers of a submission, by the table that the business keeps. */
final readonly class FromAnswers
{
    public function __construct(private ReadAnswers $answered, private Setups $setups, private Profile $business, private Pricing $pricing = new Pricing())
    {
    }

    /**
     * @param Submission|null $submission null where nothing was filled in for it
     * @param string $service key; empty where the answers say it, or nobody knows
     */
    public function content(?Submission $submission, string $service): Content
    {
        $setup = $this->setups->setup();
        $answers = [];
        if (null !== $submission) {
            $readings = $this->answered->of($submission);
            foreach ($readings->all as $reading) {
                $answers[$reading->question->key] ??= self::answered($reading);
            }
            $service = '' === $service ? AskedService::of($readings->for(Destination::ProjectService), $this->business->serviceNames()) : $service;
        }
        $lines = $this->pricing->lines($setup->table(), $this->setups->prices(), $answers, $service, $this->business->services()[$service]->name ?? '', $setup->vat());

        return new Content($lines, deposit: ['percent' => '' === $setup->deposit ? null : $setup->deposit, 'amount' => null], terms: $setup->terms);
    }

    private static function answered(Reading $reading): Answered
    {
        return new Answered($reading->question->wording, $reading->text, \is_array($reading->value) ? $reading->value : ('' === $reading->string() ? [] : [$reading->string()]));
    }
}
