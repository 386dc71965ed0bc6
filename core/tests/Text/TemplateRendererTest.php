<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Text;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Text\TemplateRenderer;

final class TemplateRendererTest extends TestCase
{
    public function testValuesAreFilledInAsTheyAre(): void
    {
        self::assertSame('Hello Orla & <Dara>', (new TemplateRenderer())->body('Hello {{name}}', ['name' => 'Orla & <Dara>']));
    }

    public function testASectionStandsOnlyWithAValue(): void
    {
        $template = "Hello.\n{{#day}}\nBy {{day}}.\n{{/day}}\nBye.";
        self::assertSame("Hello.\nBy Friday.\nBye.", (new TemplateRenderer())->body($template, ['day' => 'Friday']));
        self::assertSame("Hello.\nBye.", (new TemplateRenderer())->body($template, ['day' => '']));
    }

    public function testAValueIsNoTemplate(): void
    {
        self::assertSame('Hello {{secret}}', (new TemplateRenderer())->body('Hello {{name}}', ['name' => '{{secret}}', 'secret' => 'x']));
    }

    public function testASubjectIsOneLine(): void
    {
        self::assertSame('For Orla Bcc: x', (new TemplateRenderer())->subject('For {{name}}', ['name' => "Orla\r\nBcc: x"]));
        self::assertSame(200, mb_strlen((new TemplateRenderer())->subject('{{name}}', ['name' => str_repeat('é', 300)])));
    }
}
