<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\FollowUps\Rehearsal;
use Telamon\Core\FollowUps\Series;
use Telamon\Core\FollowUps\StepKind;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\TemplatePreview;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;

/** Sends somebody of the staff every message that a follow-up would send to whoever never answers: at once, each with the time at which it would leave. */
final readonly class RunWithOneself
{
    /** The letters that other things go out with. */
    private const LETTERS = ['times' => 'choose-time', 'quote' => 'quote', 'form' => 'fill-in'];

    public function __construct(private EntityManagerInterface $em, private Walking $walking, private TemplatePreview $preview, private MessageQueue $messages)
    {
    }

    /**
     * @param string $name of the follow-up
     *
     * @return int how many messages
     *
     * @throws InvalidInput where it sends none
     */
    public function run(Series $series, string $name, Staff $staff): int
    {
        $tests = [];
        foreach ((new Rehearsal($this->walking->walk()))->run($series, $this->walking->now()) as ['at' => $at, 'step' => $step]) {
            $key = StepKind::Send === $step?->kind ? $step->what : self::LETTERS[$step->kind->value ?? ''] ?? null;
            $template = null === $key ? null : $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $key]);
            if (null !== $template) {
                $purpose = $template->purpose();
                $tests[] = [
                    $template,
                    $this->preview->show($template->text(), $purpose, $template->fields(), $this->preview->records($purpose)[0]['id'] ?? ''),
                    $at->format('D j M, H:i'),
                    $template->text()->enclosed,
                ];
            }
        }
        if ([] === $tests) {
            throw new InvalidInput('courses', 'It sends no message.');
        }
        $this->messages->tests($tests, "sent themselves the follow-up “{$name}”", $staff);

        return \count($tests);
    }
}
