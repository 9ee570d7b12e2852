<?php

declare(strict_types=1);

namespace App\Editions;

use Illuminate\Contracts\View\Factory;

/** The templates of widgets: filled, without the blanks that they are written with. */
final class Templates
{
    /** Where a line ends beside what stands in lines of its own, as names do, whatever is beside it. */
    private const BESIDE_BLOCKS = '~\n(?=</?(?:div|p|ul|li|nav|article|details|bdi)\b)'
        .'|(?<=</div>|</p>|</ul>|</li>|</nav>|</article>|</details>|</bdi>)\n'
        // At the beginning of what stands in lines of its own, nothing is blank.
        .'|<(?:div|p|ul|li|nav|article|details)\b[^>]*+>\K\n~';

    private ?string $digest = null;

    /** @param  string  $folder  of templates, styles and layouts */
    public function __construct(private readonly Factory $views, private readonly string $folder)
    {
    }

    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $with
     */
    public function tight(string $view, array $with): string
    {
        return trim((string) preg_replace(
            ['/\s*\n\s*/', self::BESIDE_BLOCKS],
            ["\n", ''],
            $this->views->make($view, $with)->render(),
        ))."\n";
    }

    /** Another wherever a template, a style or a layout is another. */
    public function digest(): string
    {
        return $this->digest ??= FolderDigest::of($this->folder);
    }
}
