<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Edition;
use App\Models\Widget;
use Gnomic\Brief\Differences;

/** The editions of a widget, each with what changed from the one before, in sentences. */
final readonly class History
{
    private const MOST = 40;

    public function __construct(private SentenceContexts $contexts)
    {
    }

    /** @return list<array<string, mixed>> the newest first */
    public function of(Widget $widget): array
    {
        $query = Edition::query();
        $query->where('widget_id', $widget->id)->orderByDesc('number')->limit(self::MOST + 1);
        $editions = [];
        /** @var Edition $edition */
        foreach ($query->get() as $edition) {
            $editions[] = $edition;
        }
        $sentences = $this->contexts->each($widget->site);
        $told = [];
        foreach (array_slice($editions, 0, self::MOST) as $index => $edition) {
            $told[] = [
                'number' => $edition->number,
                'createdAt' => $edition->created_at->toRfc3339String(),
                'cause' => $edition->cause,
                'shown' => $edition->shown,
                'isOut' => $edition->id === $widget->edition_id,
                'changes' => self::changes($sentences, $editions[$index + 1] ?? null, $edition),
            ];
        }

        return $told;
    }

    /** @return list<string> */
    private static function changes(SiteSentences $sentences, ?Edition $before, Edition $after): array
    {
        if ($before === null) {
            return [];
        }
        $brief = $after->toBrief();
        $changes = Differences::between($before->toBrief(), $brief, $sentences->of($brief));
        if ($before->shown !== $after->shown) {
            $changes[] = "$before->shown entries became $after->shown";
        }

        return $changes;
    }
}
