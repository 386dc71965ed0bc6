<?php

declare(strict_types=1);

namespace Telamon\Access;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Transport\TransportInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Telamon\Business\Profile;
use Telamon\Database\Ids;
use Telamon\Http\SignedText;
use Telamon\Staff\Staff;

/** Links by which somebody gives themselves a password: signed, good for an hour (a week for whoever is invited) and for one password. Nothing of them is kept. */
final readonly class PasswordLinks
{
    private const PURPOSE = 'password';
    private const GOOD_FOR = 3600;
    private const INVITED_FOR = 7 * 86400;

    public function __construct(
        private EntityManagerInterface $em,
        private SignedText $signed,
        private TransportInterface $mailer,
        private Profile $business,
        #[Autowire(env: 'TELAMON_URL')]
        private string $address,
    ) {
    }

    #[AsMessageHandler]
    public function send(SendPasswordLink $command): void
    {
        $staff = $this->em->getRepository(Staff::class)->findOneBy(['email' => $command->email, 'active' => true]);
        if (null === $staff) {
            return;
        }
        // One at a time: a new link ends the one before, also where it went to an address that was wrong.
        $staff->sendsLink();
        $this->em->flush();
        $business = $this->business->business();
        $link = "{$this->address}/new-password?token=".$this->signed->sign(self::PURPOSE, self::text($staff), $command->invites ? self::INVITED_FOR : self::GOOD_FOR);
        $email = (new Email())
            ->from(new Address($business->email, $business->name))
            ->to(new Address($staff->email, $staff->name))
            ->subject($command->invites ? "{$business->name}: choose your password" : "{$business->name}: a new password")
            ->text("Hello {$staff->name},\n\n".($command->invites
                ? "{$business->name} has added you to its staff in Telamon. Choose your password here within seven days:\n\n$link\n\nAfter that you sign in with {$staff->email}. If you do not know {$business->name}, do nothing."
                : "somebody, probably you, asked for a new password. Choose one here within an hour:\n\n$link\n\nIf it was not you, do nothing: your password stays as it is."));
        $email->getHeaders()->addIdHeader('Message-ID', Ids::next().'@'.substr($business->email, (int) strrpos($business->email, '@') + 1));
        $email->getHeaders()->addTextHeader('Auto-Submitted', 'auto-generated');
        $this->mailer->send($email);
    }

    /** @return Staff|null whom a link is for; null where it is not ours, used, or over */
    public function staffOf(string $token): ?Staff
    {
        $text = $this->signed->read(self::PURPOSE, $token);
        $staff = null === $text ? null : $this->em->find(Staff::class, substr($text, 0, 36));

        return null !== $staff && $staff->active && hash_equals(self::text($staff), $text) ? $staff : null;
    }

    /** With the hash, the address and the number of links there are now: chosen, corrected or sent anew, the one before is over. */
    private static function text(Staff $staff): string
    {
        return $staff->id.':'.hash('sha256', implode("\0", [$staff->passwordHash, mb_strtolower($staff->email), $staff->linksSent]));
    }
}
