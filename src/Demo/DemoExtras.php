<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\OwnField;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Core\Form\CustomKind;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

/** What the workshop added later: fields of its own, a form for halls with several pianos, a short form that leads on. */
final readonly class DemoExtras
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    public function load(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'added fields and two forms')->at($now), function () use ($now): void {
            $this->em->persist(new OwnField('client', 'steps', 'Steps to the door', CustomKind::Number, [], 1));
            $this->em->persist(new OwnField('asset', 'pitch', 'Pitch, in Hz', CustomKind::Number, [], 1));
            $this->em->persist(new OwnField('asset', 'lid', 'Lid', CustomKind::Choice, ['Black', 'Walnut', 'Mahogany', 'Other'], 2));
            $this->em->persist(new OwnField('project', 'key_holder', 'Who has the key', CustomKind::Text, [], 1));
            $this->publish('hall-instruments', 'Hall instruments', self::halls(), $now);
            $this->publish('hello', 'Short inquiry', self::short(), $now);
        });
    }

    /** Three clients who came on file twice, as they do when several people keep the card index. */
    public function twice(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'put three cards on file')->at($now), function () use ($now): void {
            foreach ([
                ['Fintan', 'Haskin', 'F.', 'Haskin', 'fintan@haskin-post.example'],
                ['Cormac', 'Brackley', 'Cormac', 'Brackly', ''],
                ['Bea', 'Larkhill', 'Beatrice', 'Larkhill', 'b.larkhill@letters.example'],
            ] as [$given, $family, $as, $called, $email]) {
                $first = $this->em->getRepository(Client::class)->findOneBy(['givenName' => $given, 'familyName' => $family]);
                $phone = $first?->first(ContactKind::Phone);
                if (null === $first) {
                    continue;
                }
                $client = new Client($as, $called, $first->address, $now);
                $this->em->persist($client);
                if (null !== $phone) {
                    $this->em->persist(new ContactPoint($client, ContactKind::Phone, $phone, $phone));
                }
                if ('' !== $email) {
                    $this->em->persist(new ContactPoint($client, ContactKind::Email, $email, $email));
                }
            }
        });
    }

    /** @return array<string, mixed> */
    private static function halls(): array
    {
        return [
            'title' => 'Your hall’s instruments',
            'intro' => 'For halls and schools with several pianos. Ten minutes; we then come prepared.',
            'privacy' => 'We use them to look after your instruments, and delete them when you ask.',
            'thanks' => 'Thank you. Your number is {{reference}}.',
            'steps' => [['when' => 'First', 'what' => 'You list what you have.'], ['when' => 'Then', 'what' => 'Nessa offers days for all of it.']],
            'promiseMinutes' => 480, 'purpose' => 'open',
            'dayOrder' => 'day-first',
            'checkPage' => true,
            'pages' => [
                ['key' => 'hall', 'title' => 'The hall', 'next' => 'On to the instruments', 'questions' => [
                    ['key' => 'about', 'type' => 'section', 'wording' => 'Who you are'],
                    ['key' => 'hall', 'type' => 'organisation', 'wording' => 'Hall, school or choir', 'required' => true, 'destination' => 'client.name'],
                    ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email', 'half' => true],
                    ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'destination' => 'client.phone', 'half' => true],
                    ['key' => 'place', 'type' => 'address-parts', 'wording' => 'Where is it?', 'required' => true, 'destination' => 'client.address'],
                    ['key' => 'steps', 'type' => 'number', 'wording' => 'How many steps to the door?', 'min' => '0', 'max' => '200', 'destination' => 'custom.client.steps'],
                    ['key' => 'onsite', 'type' => 'section', 'wording' => 'Who lets us in', 'hint' => 'if it is somebody else'],
                    ['key' => 'caretaker', 'type' => 'name-parts', 'wording' => 'Their name', 'destination' => 'contact.name'],
                    ['key' => 'caretaker_phone', 'type' => 'phone', 'wording' => 'Their phone', 'destination' => 'contact.phone'],
                    ['key' => 'key', 'type' => 'short-text', 'wording' => 'Who has the key?', 'destination' => 'custom.project.key_holder'],
                ]],
                ['key' => 'pianos', 'title' => 'The instruments', 'next' => 'Send to the workshop', 'questions' => [
                    [
                        'key' => 'service',
                        'type' => 'one-of',
                        'wording' => 'What should we do?',
                        'required' => true,
                        'default' => 'tuning',
                        'destination' => 'project.service',
                        'options' => [
                            ['value' => 'tuning', 'label' => 'Tune them'],
                            ['value' => 'repair', 'label' => 'Repair some'],
                            ['value' => 'concert', 'label' => 'Look after a concert'],
                        ],
                    ],
                    ['key' => 'pianos', 'type' => 'lines', 'wording' => 'Your pianos', 'hint' => 'one a line', 'required' => true, 'maxLines' => 12, 'lines' => [
                        ['key' => 'make', 'type' => 'short-text', 'wording' => 'Maker', 'required' => true, 'destination' => 'asset.make'],
                        ['key' => 'serial', 'type' => 'short-text', 'wording' => 'Number in the lid', 'destination' => 'asset.serial'],
                        ['key' => 'room', 'type' => 'short-text', 'wording' => 'Room', 'destination' => 'asset.place'],
                        [
                            'key' => 'pitch',
                            'type' => 'number',
                            'wording' => 'Pitch',
                            'hint' => 'in Hz, if you know',
                            'min' => '400',
                            'max' => '470',
                            'destination' => 'custom.asset.pitch',
                        ],
                    ]],
                    ['key' => 'when', 'type' => 'day-span', 'wording' => 'When is the hall free?', 'min' => 'today+1', 'destination' => 'appointment.wish'],
                    [
                        'key' => 'budget',
                        'type' => 'money',
                        'wording' => 'Do you have a budget in mind?',
                        'hint' => 'if there is a limit',
                        'half' => true,
                        'destination' => 'project.budget',
                    ],
                    ['key' => 'bring', 'type' => 'short-text', 'wording' => 'What must we bring?', 'example' => 'a long ladder', 'half' => true, 'destination' => 'task'],
                    ['key' => 'agreed', 'type' => 'signature', 'wording' => 'You may enter the hall for this work.', 'required' => true],
                ]],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function short(): array
    {
        return [
            'title' => 'Say hello',
            'intro' => 'Three questions. The rest comes after.',
            'privacy' => 'We use them to answer you, and delete them when you ask.',
            'thanks' => 'Thank you. Your number is {{reference}}.',
            'steps' => [['when' => 'First', 'what' => 'You say who you are.'], ['when' => 'Then', 'what' => 'You tell us about the piano, or we call.']],
            'promiseMinutes' => 120, 'purpose' => 'open',
            'dayOrder' => 'day-first',
            'endings' => [['kind' => 'form', 'text' => 'piano-inquiry']],
            'pages' => [['key' => 'you', 'title' => 'You', 'next' => 'Next', 'questions' => [
                ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
                ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
                ['key' => 'reason', 'type' => 'short-text', 'wording' => 'What is it about?', 'required' => true, 'destination' => 'project.notes'],
            ]]],
        ];
    }

    /** @param array<string, mixed> $definition */
    private function publish(string $slug, string $title, array $definition, \DateTimeImmutable $at): void
    {
        $form = new Form($slug, $title);
        $version = new FormVersion($form, 1, $definition, $at);
        $this->em->persist($form);
        $this->em->persist($version);
        $this->em->flush();
        $form->publish($version);
    }
}
