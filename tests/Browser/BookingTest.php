<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Support\Answer;

/** Booking by a client on a phone, placing by hand from a plan, and two hundred at one time. */
final class BookingTest extends BrowserTestCase
{
    public function testATimeIsBookedOnAPhoneHeldThroughAReloadAndMovedByItsLink(): void
    {
        $this->resize($this->driver, 390, 844);
        $this->begin('Ambrose Vantry', 'ambrose.vantry@example.com');
        $this->see('When shall we come, Ambrose?');
        $this->assertAccessible('times on a phone');
        $this->until(fn (): bool => \count($this->all('.cells input')) > 3, 'there are times');
        $this->choose('.cells input', 2);
        $this->see('Held for you');
        $held = $this->find('.book-what b')->getText();
        // Loaded again in the middle, it is still held.
        $this->driver->navigate()->refresh();
        $this->see('Held for you');
        self::assertSame($held, $this->find('.book-what b')->getText());
        $this->clickWith('.hold button', 'Keep longer');
        $this->until(fn (): bool => 1 === preg_match('/1[0-9] min/', $this->find('.hold')->getText()), 'it is held for ten minutes more');
        $this->clickOn('.book-plinth button.MuiButton-root');
        $this->see('A mail with all of this is on its way to ambrose.vantry@example.com');
        self::assertStringContainsString(explode(' to ', $held)[0], $this->find('h1')->getText());
        // Back and there again: a link books once.
        $this->driver->navigate()->refresh();
        $this->see('booked');
        $this->clickWith('a', 'Move or cancel it');
        $this->clickWith('button', 'Choose another time');
        $this->until(fn (): bool => \count($this->all('.cells input')) > 3, 'there are other times');
        $this->choose('.cells input', \count($this->all('.cells input')) - 1);
        $this->clickWith('button', 'Move it there');
        $this->until(fn (): bool => !str_contains($this->find('h1')->getText(), explode(' to ', $held)[0]), 'it is moved');
        $this->assertAccessible('a visit');

        $this->resize($this->driver, 1280, 800);
        $this->signIn();
        // Booked is on file at once; where the worker was at it in the same moment, when it is done.
        $this->until(function (): bool {
            $this->go('/clients?q=vantry');
            $this->find('.row-table, .empty');

            return str_contains($this->find('main, body')->getText(), 'Ambrose Vantry');
        }, 'the booking is on file');
        $this->clickWith('.row-table a', 'Ambrose Vantry');
        $this->clickOn('.line-top a[href^="/diary/"]');
        $this->findWith('.visit-sheet h3', 'Ambrose Vantry');
        $this->assertAccessible('a visit in the diary');
    }

    public function testWhoeverFindsAGroupFullWaitsForAPlaceOnAPhone(): void
    {
        $this->resize($this->driver, 390, 844);
        $this->begin('Ottilie Brandreth', 'ottilie.brandreth@example.com', 'evening');
        $wait = $this->findWith('.full-note button', 'Wait for a place');
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$wait]);
        $wait->click();
        $this->see('You are the first who waits.');
        $this->assertAccessible('waiting for a place');
        // Loaded again, and gone back to, one still waits.
        $this->driver->navigate()->refresh();
        $this->see('You are the first who waits.');
        $this->clickWith('button', 'Wait no longer');
        $this->findWith('.full-note button', 'Wait for a place');
        $this->resize($this->driver, 1280, 800);
    }

    public function testAVisitIsPlacedFromAPlanInTwoKeysAndUndone(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Orla Fennick');
        $this->findWith('.sheet-head', 'Orla Fennick');
        $this->find('.plan .line');
        $this->press('v');
        $this->find('.good-times [aria-pressed=true]');
        $this->findWith('.plinth .main', 'Book');
        $this->assertAccessible('placing');
        $this->pressMain();
        $this->findWith('.visit-sheet h3', 'Orla Fennick');
        $this->see('booked');
        $this->press('u');
        $this->findWith('.visit-sheet .mark', 'cancelled');
    }

    public function testTheDayAndTheKindsAreThereForWhoeverOnlyHasKeys(): void
    {
        $this->signIn();
        $this->go('/today');
        $this->findWith('.today-part h2', 'Visits today');
        $this->find('.today-visit');
        $this->assertAccessible('today');
        $before = \count($this->all('.tasks-due input:checked'));
        $this->press(WebDriverKeys::ARROW_DOWN);
        $this->find('.tasks-due li.chosen');
        $this->press(' ');
        $this->until(fn (): bool => \count($this->all('.tasks-due input:checked')) > $before, 'a task is done by its key');
        $this->press('u');
        $this->go('/diary');
        $day = $this->find('.day-open h2')->getText();
        $this->press(']');
        $this->until(fn (): bool => $this->find('.day-open h2')->getText() !== $day, 'another day');
        $this->press('[');
        $this->until(fn (): bool => $this->find('.day-open h2')->getText() === $day, 'the same day again');
        $this->assertAccessible('the diary');
        $this->go('/diary/kinds');
        $this->findWith('.kind-head h1', 'Tuning');
        $this->findWith('.try-count', 'times');
        $this->assertAccessible('kinds of visit');
        $step = $this->find('[aria-label="Clear after"]');
        $step->clear();
        $step->sendKeys('45');
        $this->findWith('.plinth-note', 'not saved');
        $this->pressMain();
        $this->see('Tuning is saved');
        $this->press('u');
    }

    public function testOfTwoHundredAtOneTimeOneGetsItAndNobodyAnError(): void
    {
        $this->signIn();
        $cookie = $this->driver->manage()->getCookieNamed('telamon')?->getValue() ?? '';
        $client = $this->json('GET', '/api/clients?q=ambry', $cookie)->text('items.0.id');
        $links = [];
        for ($i = 0; $i < 200; ++$i) {
            parse_str((string) parse_url($this->json('POST', '/api/diary/links', $cookie, ['page' => 'visit', 'client' => $client])->text('address'), \PHP_URL_QUERY), $query);
            $links[] = \is_string($query['t']) ? $query['t'] : '';
        }
        $days = $this->json('GET', "/api/public/booking/visit/times?t={$links[0]}&type=repair-visit", $cookie)->rows('days');
        $starts = $days[\count($days) - 1]['starts'] ?? [];
        self::assertIsArray($starts);
        $at = end($starts);
        $many = curl_multi_init();
        $asked = [];
        foreach ($links as $t) {
            $one = $this->request('POST', '/api/public/booking/visit/bookings', $cookie, ['t' => $t, 'type' => 'repair-visit', 'at' => $at]);
            curl_multi_add_handle($many, $one);
            $asked[] = $one;
        }
        do {
            curl_multi_exec($many, $running);
            curl_multi_select($many, 1);
        } while ($running > 0);
        $codes = array_count_values(array_map(static fn (\CurlHandle $one): int => curl_getinfo($one, \CURLINFO_RESPONSE_CODE), $asked));
        ksort($codes);
        self::assertSame([201 => 1, 409 => 199], $codes);
    }

    private function begin(string $name, string $email, string $page = 'visit'): void
    {
        $this->go("/book/$page");
        $this->find('#q-name')->sendKeys($name);
        $this->find('#q-email')->sendKeys($email);
        $this->find('#q-place')->sendKeys('3 Mill Row, Marrowby');
        $this->clickOn('button[type=submit]');
        $this->find('.book');
    }

    private function choose(string $css, int $which): void
    {
        $input = $this->driver->findElements(WebDriverBy::cssSelector($css))[$which];
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$input]);
        $input->click();
    }

    /**
     * @param 'GET'|'POST' $method
     * @param array<string, mixed>|null $body
     */
    private function json(string $method, string $path, string $cookie, ?array $body = null): Answer
    {
        $curl = $this->request($method, $path, $cookie, $body);
        $answer = curl_exec($curl);
        self::assertIsString($answer);

        return new Answer(curl_getinfo($curl, \CURLINFO_RESPONSE_CODE), $answer, []);
    }

    /**
     * @param 'GET'|'POST' $method
     * @param array<string, mixed>|null $body
     */
    private function request(string $method, string $path, string $cookie, ?array $body): \CurlHandle
    {
        $curl = curl_init($this->address.$path);
        curl_setopt_array(
            $curl,
            [
                \CURLOPT_RETURNTRANSFER => true,
                \CURLOPT_CUSTOMREQUEST => $method,
                \CURLOPT_HTTPHEADER => ["Cookie: telamon=$cookie", "Origin: {$this->address}", 'Content-Type: application/json'],
            ],
        );
        if (null !== $body) {
            curl_setopt($curl, \CURLOPT_POSTFIELDS, json_encode($body, \JSON_THROW_ON_ERROR));
        }

        return $curl;
    }
}
