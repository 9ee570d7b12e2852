<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Widget;
use App\Outbox\Outbox;

/**
 * Looks whether what visitors get is what the database says: whoever was killed between the two, or could not write, has left them
 * apart. What is not right is rendered again.
 */
final readonly class Pointers
{
    public function __construct(private EditionFiles $files, private Outbox $outbox)
    {
    }

    /**
     * @phpstan-impure what it finds wrong is right afterwards
     *
     * Every file of what is out is there, and as long as it was written.
     *
     * @param  bool  $thoroughly  whether what is in them is compared, too
     * @return int widgets that are not as they should be
     */
    public function mend(bool $thoroughly = false): int
    {
        $wrong = 0;
        $query = Widget::query()->with('edition');
        $query->whereNotNull('edition_id');
        /** @var Widget $widget */
        foreach ($query->lazyById(500) as $widget) {
            $hash = (string) $widget->edition?->hash;
            $isRight = $this->files->isOut($widget->key, $hash) && $this->files->isSound($widget->key, $hash, $thoroughly);
            if (! $isRight && ! in_array($widget->id, $this->outbox->widgets($widget->site_id), true)) {
                $this->outbox->widget($widget, null, 'The published files were not as they should be');
                $wrong++;
            }
        }

        return $wrong;
    }
}
