<?php

declare(strict_types=1);

namespace Tests\core;

use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dressed;
use Gnomic\Dress\Look;
use Gnomic\Dress\Looks;
use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Sift\Flattery;
use Gnomic\Standing\Overall;

/** Plans of entries, in the look that briefs have where they name none. */
trait Planned
{
    use AtADay;
    use InWords;

    /**
     * @param  list<Entry>  $shown
     * @param  array<string, SourcePage>  $pages
     * @param  array<string, StoredPicture>  $pictures
     * @param  list<Flattery>  $choices
     */
    private static function planned(
        Brief $brief,
        array $shown,
        ?Overall $overall = null,
        array $pages = [],
        string $zone = 'UTC',
        array $pictures = [],
        array $choices = [],
        int $offered = 0,
        string $all = '',
    ): Plan {
        $chosen = new Chosen($shown, $overall ?? Overall::ofTally([]), choices: $choices, offered: $offered);
        $site = new SiteMaterial(self::on(), new DateTimeZone($zone), pages: $pages, pictures: $pictures);

        return Plan::of(new VariantInput($brief, $chosen, $site, self::words(), self::usualLook()), $all);
    }

    private static function usualLook(): Dressed
    {
        $file = dirname(__DIR__, 2).'/resources/looks/'.Looks::USUAL.'.json';

        return Dressed::usual(new Looks([Looks::USUAL => Look::read(Looks::USUAL, json_decode((string) file_get_contents($file), true))]));
    }
}
