<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\DBAL\Connection;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What is made of the business's settings (staff, services, checklists, stages, rules), kept beside the database until
 * one of them changes: a plan needs all of them and they are nearly always the same.
 */
final readonly class Remembered
{
    public function __construct(private Connection $db, #[Autowire(service: 'cache.settings')] private CacheItemPoolInterface $pool)
    {
    }

    /**
     * @template T of array
     *
     * @param \Closure(): T $make of plain objects only: no entities
     *
     * @return T
     */
    public function get(string $name, \Closure $make): array
    {
        $version = $this->db->fetchOne('SELECT version FROM setup_version');
        $item = $this->pool->getItem($name);
        $kept = $item->get();
        if (\is_array($kept) && ($kept[0] ?? null) === $version && \is_array($kept[1] ?? null)) {
            /** @var T $known */
            $known = $kept[1];

            return $known;
        }
        $made = $make();
        // Inside a transaction something may be changed and not be written yet: that is for this request alone.
        if (!$this->db->isTransactionActive()) {
            $this->pool->save($item->set([$version, $made]));
        }

        return $made;
    }
}
