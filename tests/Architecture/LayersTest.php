<?php

declare(strict_types=1);

namespace Telamon\Tests\Architecture;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Effects;
use Telamon\Record\Journaled;
use Telamon\Record\PartOf;
use Telamon\Tests\Support\AppTestCase;

/** What is listed in one place is there in all: folders in the layers, effects with their handlers, records with their kinds. */
final class LayersTest extends AppTestCase
{
    public function testEveryFolderIsARoomOfOneLayer(): void
    {
        foreach (['core/src' => Layers::CORE, 'src' => Layers::APPLICATION] as $tree => $layers) {
            $folders = array_map(basename(...), glob(\dirname(__DIR__, 2)."/$tree/*", \GLOB_ONLYDIR) ?: []);
            self::assertEqualsCanonicalizing($folders, array_merge(...array_values($layers)), $tree);
        }
    }

    public function testEveryEffectHasItsHandler(): void
    {
        $effects = self::getContainer()->get(Effects::class);
        self::assertInstanceOf(Effects::class, $effects);
        $files = glob(\dirname(__DIR__, 2).'/core/src/Effects/*.php') ?: [];
        $names = [];
        foreach ($files as $file) {
            $class = 'Telamon\\Core\\Effects\\'.basename($file, '.php');
            if (is_a($class, Effect::class, true)) {
                self::assertSame($class, $effects->handler($class)::of());
                $names[] = $class::name();
            }
        }
        self::assertGreaterThan(10, \count($names));
        self::assertSame($names, array_values(array_unique($names)), 'each has a name of its own');
    }

    public function testEveryRecordHasAKindThatIsListed(): void
    {
        $em = self::getContainer()->get('doctrine.orm.entity_manager');
        self::assertInstanceOf(EntityManagerInterface::class, $em);
        /** @var array<string, class-string<Journaled>> $listed */
        $listed = self::getContainer()->getParameter('telamon.records');
        $records = [];
        foreach ($em->getMetadataFactory()->getAllMetadata() as $meta) {
            $class = $meta->getName();
            if (is_a($class, Journaled::class, true) && !is_a($class, PartOf::class, true)) {
                $records[] = $class;
            }
        }
        self::assertEqualsCanonicalizing($records, array_values($listed));
        foreach ($listed as $kind => $class) {
            self::assertSame($kind, (new \ReflectionClass($class))->newInstanceWithoutConstructor()->recordKind());
        }
    }
}
