<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\KnownAsker;
use Telamon\Forms\Form;
use Telamon\Http\SignedText;
use Telamon\Refusal\NotThere;

/** Signed links to a form for somebody who is known: it does not ask again who they are. */
final readonly class FormLinks
{
    private const PURPOSE = 'form';
    private const DAYS = 60;

    public function __construct(private EntityManagerInterface $em, private SignedText $signed, #[Autowire(env: 'TELAMON_URL')] private string $address)
    {
    }

    /** @return string the whole address, or its path while nobody has said under which Telamon is reached */
    public function address(Form $form, Client $client): string
    {
        return rtrim($this->address, '/')."/f/{$form->slug}?for=".rawurlencode($this->token($form->slug, $client));
    }

    /** What the address of a form ends in, for this client. */
    public function token(string $slug, Client $client): string
    {
        return $this->signed->sign(self::PURPOSE, "$slug:{$client->id}", self::DAYS * 86_400);
    }

    /** @throws NotThere where it is none of ours, for another form, over, or of nobody who is still on file */
    public function client(string $token, string $slug): Client
    {
        [$form, $id] = explode(':', $this->signed->read(self::PURPOSE, $token) ?? '') + ['', ''];
        $client = $form === $slug && '' !== $id ? $this->em->find(Client::class, $id) : null;
        $client = $client->mergedInto ?? $client;

        return null === $client || null !== $client->archivedAt
            ? throw new NotThere('link, or it is over. Load the page again: what you wrote stays, and the form asks who you are')
            : $client;
    }

    /** @return array<string, string|array<string, string>> by question key: what of the form is not asked again */
    public function answers(FormDefinition $form, Client $client): array
    {
        return KnownAsker::answers($form, ['client.email' => $client->first(ContactKind::Email) ?? ''], [$client->givenName, $client->familyName]);
    }
}
