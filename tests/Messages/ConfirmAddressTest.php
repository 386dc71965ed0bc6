<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\ContactPoint;
use Telamon\Messages\SignedAddresses;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** What a stranger brings is believed once whoever reads its mail has said so by a link. */
final class ConfirmAddressTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = 'https://telamon.example';
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->db()->executeStatement("UPDATE contact_point SET confirmed = 0 WHERE kind = 'email'");
    }

    protected function tearDown(): void
    {
        $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = '';
        parent::tearDown();
    }

    public function testTheLinkThatIsMailedConfirmsAndLookingDoesNot(): void
    {
        $this->post("/api/contact-points/{$this->point()}/ask")->ok(204);
        self::assertSame('orla.fennick@example.com', $this->id("SELECT to_address FROM message WHERE template = 'confirm-address'"));
        $text = $this->id("SELECT text FROM message WHERE template = 'confirm-address'");
        // Nothing that a stranger wrote stands in it.
        self::assertStringNotContainsString('Orla', $text);
        self::assertSame(1, preg_match('#https://telamon\.example(/confirm/\S+)#', $text, $m));
        $link = $m[1];
        $this->page('GET', $link, 200, 'If orla.fennick@example.com is yours');
        self::assertFalse($this->isConfirmed());
        for ($i = 0; $i < 2; ++$i) {
            $this->page('POST', $link, 200, 'orla.fennick@example.com is confirmed');
            self::assertTrue($this->isConfirmed());
        }
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM change_set WHERE words LIKE '%was confirmed by the link mailed to it'"));
        self::assertArrayHasKey('id', $this->post("/api/contact-points/{$this->point()}/ask")->ok(422)->violations());
    }

    public function testItIsAskedOnceADay(): void
    {
        $this->post("/api/contact-points/{$this->point()}/ask")->ok(204);
        self::assertStringContainsString('within the last day', $this->post("/api/contact-points/{$this->point()}/ask")->ok(422)->violations()['id'] ?? '');
        $this->clock->modify('+25 hours');
        $this->signIn();
        $this->post("/api/contact-points/{$this->point()}/ask")->ok(204);
    }

    public function testALinkEndsWithItsAddressAndItsTimeAndCannotBeMadeUp(): void
    {
        $link = $this->link();
        foreach (["/confirm/{$this->point()}.9999999999.".str_repeat('0', 64), substr($link, 0, -1), '/confirm/x', '/confirm/'.str_repeat('a', 300)] as $wrong) {
            $this->page('POST', $wrong, 404, 'This link leads nowhere');
        }
        $this->db()->executeStatement("UPDATE contact_point SET value = 'hugh@example.com' WHERE id = ?", [$this->point()]);
        $this->page('POST', $link, 404, 'has ended');
        self::assertFalse($this->isConfirmed());
        $link = $this->link();
        $this->clock->modify('+15 days');
        $this->page('POST', $link, 404, 'has ended');
        self::assertFalse($this->isConfirmed());
    }

    public function testWhoMayNotWriteToClientsDoesNotAsk(): void
    {
        $point = $this->point();
        $this->signIn('pim@marrowby.example');
        $this->post("/api/contact-points/$point/ask")->ok(403);
        self::assertSame('0', $this->number("SELECT COUNT(*) FROM message WHERE template = 'confirm-address'"));
        $this->signIn();
        $this->post('/api/contact-points/'.str_repeat('0', 8).'-0000-0000-0000-000000000000/ask')->ok(404);
    }

    private function point(): string
    {
        return $this->id("SELECT id FROM contact_point WHERE kind = 'email'");
    }

    private function isConfirmed(): bool
    {
        return '1' === $this->number("SELECT confirmed FROM contact_point WHERE kind = 'email'");
    }

    private function link(): string
    {
        $em = self::getContainer()->get(EntityManagerInterface::class);
        $addresses = self::getContainer()->get(SignedAddresses::class);
        self::assertInstanceOf(EntityManagerInterface::class, $em);
        self::assertInstanceOf(SignedAddresses::class, $addresses);
        $em->clear();
        $point = $em->find(ContactPoint::class, $this->point());
        self::assertInstanceOf(ContactPoint::class, $point);

        return (string) parse_url($addresses->confirmLink($point), \PHP_URL_PATH);
    }

    private function page(string $method, string $link, int $status, string $says): void
    {
        // A page that says nothing of where it was sends no origin with its form.
        $this->browser->request($method, $link, server: ['HTTP_ORIGIN' => 'null', 'CONTENT_TYPE' => 'application/x-www-form-urlencoded']);
        self::assertSame($status, $this->browser->getResponse()->getStatusCode(), $link);
        self::assertStringContainsString($says, strip_tags((string) $this->browser->getResponse()->getContent()));
    }
}
