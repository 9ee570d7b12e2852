<?php

declare(strict_types=1);

namespace App\Bench;

use App\Entries\Sift\SaidOfChannels;
use App\Entries\Sift\SiteContexts;
use App\Models\Source;
use Gnomic\Brief\Brief;
use Gnomic\Brief\SentenceContext;
use Gnomic\Tend\Cadence;

/** What the sentences of a site's briefs say of the site, read from the database once for all of them. */
final readonly class SiteSentences
{
    /**
     * @param  array<string, string>  $looks  names by key
     * @param  list<Source>  $sources  that are refreshed, the most frequent first
     */
    public function __construct(
        private SiteContexts $contexts,
        private SaidOfChannels $channels,
        private array $looks,
        private array $sources,
    ) {
    }

    /**
     * @param  string  $places  where the widget stands, as Places::spoken()
     * @param  bool  $sifts  whether the context is used for choosing entries, too, and not for the sentence alone
     */
    public function of(Brief $brief, string $places = '', bool $sifts = false): SentenceContext
    {
        $gather = $brief->criteria->part('gather');
        $named = $gather->has('sources') ? $gather->strings('sources') : null;
        $cadences = [];
        foreach ($this->sources as $source) {
            if ($named === null || in_array($source->key, $named, true)) {
                $cadences[] = Cadence::spoken($source->cadence);
            }
        }

        return new SentenceContext(
            $sifts ? $this->contexts->for($brief->criteria, $this->channels) : $this->contexts->named($brief->criteria, $this->channels),
            array_values(array_unique($cadences)),
            $this->looks,
            $places,
        );
    }
}
