<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostFlushEventArgs;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Events;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Contracts\Service\ResetInterface;
use Telamon\Core\Form\FormDefinition;
use Telamon\Forms\FormVersion;
use Telamon\Submissions\Submission;

/**
 * Keeps the stored readings in step, in the transaction of whoever writes: a new submission is read at once; where a
 * new version words its choices otherwise, what came before is read anew by the worker.
 */
#[AsDoctrineListener(Events::postPersist)]
#[AsDoctrineListener(Events::postFlush)]
final class AnswersFollow implements ResetInterface
{
    /** @var list<string> */
    private array $submissions = [];

    /** @var list<FormVersion> */
    private array $versions = [];

    public function __construct(private readonly AnswerRows $rows, private readonly MessageBusInterface $bus)
    {
    }

    public function postPersist(PostPersistEventArgs $args): void
    {
        $record = $args->getObject();
        if ($record instanceof Submission) {
            $this->submissions[] = $record->id;
        } elseif ($record instanceof FormVersion && $record->number > 1) {
            $this->versions[] = $record;
        }
    }

    public function postFlush(PostFlushEventArgs $args): void
    {
        [$submissions, $versions] = [$this->submissions, $this->versions];
        $this->reset();
        array_map($this->rows->one(...), $submissions);
        foreach ($versions as $version) {
            $before = $args->getObjectManager()->getRepository(FormVersion::class)->findOneBy(['form' => $version->form, 'number' => $version->number - 1]);
            if (null !== $before && [] !== array_diff(self::labels($before->definition()), self::labels($version->definition()))) {
                $this->bus->dispatch(new ReadAnswersAgain($version->form->id));
            }
        }
    }

    public function reset(): void
    {
        $this->submissions = $this->versions = [];
    }

    /** @return list<string> what each choice is called */
    private static function labels(FormDefinition $form): array
    {
        $labels = [];
        foreach ($form->questions() as $asked) {
            foreach ([$asked, ...$asked->lines] as $question) {
                foreach ($question->options as $option) {
                    $labels[] = "{$asked->key} {$question->key} {$option->value} {$option->label}";
                }
            }
        }

        return $labels;
    }
}
