<?php

declare(strict_types=1);

namespace App\Placing;

use App\Host\Durable;
use App\Host\HostLocks;
use App\Models\Site;
use App\Models\SpotRecord;
use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Spot\Position;
use Gnomic\Place\Spot\SpotRules;
use RuntimeException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** The one script of a site: the rules of its spots, and what puts widgets there, in a file that the web server hands out. */
final readonly class SiteScript
{
    /**
     * @param  string  $script  that puts widgets where the rules say
     * @param  string  $element  the script of the element itself, which goes with it: a page's policy may allow this one file alone, or no
     *                           script that a script asks for
     */
    public function __construct(
        private string $script,
        private string $element,
        private string $editions,
        private string $host,
        private HostLocks $locks,
    ) {
    }

    /** Writes it, where it is other than it was. @return bool whether it was */
    public function write(Site $site): bool
    {
        $lock = $this->locks->waited("site-script-$site->id", 20);
        try {
            $script = $this->of($site);
            $folder = "$this->editions/s";
            $file = "$folder/$site->key.js";
            if ((string) @file_get_contents($file) === $script && $this->isSound($file, true)) {
                return false;
            }
            is_dir($folder) || @mkdir($folder, 0755, true);
            $packed = ['.gz' => (string) gzencode($script, 9), '.br' => self::brotli($script)];
            $sums = [];
            // What says how they have to be comes last: whatever ends half way is written again.
            @unlink("$file.sums");
            foreach (['' => $script] + $packed as $ending => $contents) {
                if ($contents === null) {
                    @unlink("$file$ending");
                } elseif (Durable::write("$file$ending", $contents)) {
                    $sums[$ending] = [strlen($contents), hash('xxh128', $contents)];
                } else {
                    throw new RuntimeException("$file$ending cannot be written; the disk may be full.");
                }
            }
            Durable::write("$file.sums", json_encode($sums, JSON_THROW_ON_ERROR));
            Durable::settle($folder);

            return true;
        } finally {
            $lock->release();
        }
    }

    /**
     * Writes those again that are not there, or not as long as they were written.
     *
     * @param  bool  $thoroughly  whether what is in them is compared, too: with what was written, and with what would be written now
     * @return int how many
     */
    public function mend(bool $thoroughly = false): int
    {
        $written = 0;
        foreach (Site::query()->lazyById(200) as $site) {
            if ($site instanceof Site && ($thoroughly || ! $this->isSound("$this->editions/s/$site->key.js", false))) {
                $written += (int) $this->write($site);
            }
        }

        return $written;
    }

    private function isSound(string $file, bool $thoroughly): bool
    {
        clearstatcache();
        $sums = json_decode((string) @file_get_contents("$file.sums"), true);
        foreach (is_array($sums) && isset($sums['']) ? $sums : ['' => [-1, '']] as $ending => $sum) {
            [$size, $digest] = is_array($sum) && count($sum) === 2 ? array_values($sum) : [-1, ''];
            if (@filesize("$file$ending") !== $size || ($thoroughly && @hash_file('xxh128', "$file$ending") !== $digest)) {
                return false;
            }
        }

        return true;
    }

    /** Null where the program is missing. */
    private static function brotli(string $script): ?string
    {
        $program = (new ExecutableFinder)->find('brotli');
        $packing = $program === null ? null : new Process([$program, '--best', '--stdout'], input: $script, timeout: 30);

        return $packing !== null && $packing->run() === 0 ? $packing->getOutput() : null;
    }

    public function of(Site $site): string
    {
        [$rules, $places] = $this->rules($site);
        $written = fn (mixed $value): string => json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_HEX_TAG,
        );

        return '(function(GNOMIC_HOST,GNOMIC_RULES,GNOMIC_PLACES){'.rtrim((string) file_get_contents($this->element))
            .rtrim((string) file_get_contents($this->script)).'})('.$written($this->host).','.$written($rules).','.$written($places).');';
    }

    /** @return array{list<array<mixed>>, list<array{string, string}>} */
    private function rules(Site $site): array
    {
        $records = $spots = [];
        $forms = [];
        foreach (SpotRecord::ofQuery(fn ($query) => $query->where('site_id', $site->id)->whereNull('removed_at')) as $record) {
            $spot = $record->toCore();
            if ($spot->position !== Position::Tag && $record->widget->removed_at === null) {
                $records[$record->key] = $record;
                $spots[$record->key] = ['spot' => $spot, 'widget' => $record->widget->key];
                $forms[$record->widget_id] ??= $record->widget->formsByVariant();
            }
        }
        $rules = $places = [];
        foreach ((new SpotRules($spots))->ordered() as ['key' => $key, 'pattern' => $pattern]) {
            $spot = $spots[$key]['spot'];
            $widget = $forms[$records[$key]->widget_id]["s{$records[$key]->id}"] ?? $records[$key]->widget;
            if ($widget->edition === null) {
                continue;
            }
            [$from, $to] = $spot->span($site->zone());
            $place = $spot->place('');
            $places[$place] ??= [$spot->position->value, (string) $spot->selector];
            $rules[] = [
                $pattern,
                array_map(fn (PathPattern $except): mixed => $except->compiled(), $spot->except),
                (int) array_search($place, array_keys($places), true),
                $widget->key,
                // What follows the page may be of any height.
                $spot->follows === null ? (string) ($widget->edition->room['length'] ?? '') : '',
                $from ?? 0,
                $to ?? 0,
            ];
        }

        return [$rules, array_values($places)];
    }
}
