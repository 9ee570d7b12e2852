<?php

declare(strict_types=1);

// What page builders, hosts and banners do to pages, to be tried on the observatory's: set on /workshop, kept in a file.

return new class((getenv('STANDINS_DATA') ?: sys_get_temp_dir()).'/website-faults.json')
{
    public const KINDS = [
        '' => 'as it should be',
        'gone' => 'the code was deleted',
        'script-gone' => 'the builder took the script out',
        'element-gone' => 'the builder took the element out',
        'escaped' => 'the code was pasted as text',
        'other-key' => 'another key',
        'twice' => 'pasted twice',
        'policy-header' => 'a strict policy in the header',
        'policy-meta' => 'a strict policy in a meta element',
        'policy-report' => 'a strict policy that only reports',
        'held' => 'a consent banner holds the script',
        'hidden' => 'in a part that is hidden',
        'folded' => 'in a tab that a style sheet hides',
        'framed' => 'the frame instead, in a sandbox',
        'old-copy' => 'a cache serves the page from before',
        'sign-in' => 'only for members',
        'missing' => 'the page is gone',
        'moved' => 'the part with the place is gone',
    ];

    public function __construct(private string $file)
    {
    }

    /** @return array<string, string> kinds by path */
    public function all(): array
    {
        $kept = json_decode((string) @file_get_contents($this->file), true);

        return is_array($kept) ? array_filter($kept, is_string(...)) : [];
    }

    public function set(string $path, string $kind): void
    {
        $all = $this->all();
        $all[$path] = isset(self::KINDS[$kind]) ? $kind : '';
        file_put_contents($this->file, json_encode(array_filter($all)), LOCK_EX);
    }

    /** The page as it comes out. Headers are sent on the way; null where it sends somebody elsewhere. */
    public function on(string $path, string $html, string $gnomic): ?string
    {
        $kind = $this->all()[$path] ?? '';
        $script = '~<script[^>]*src="'.preg_quote($gnomic, '~').'/(?:gnomic|s/\w+)\.js"[^>]*></script>~';
        $element = '~<gnomic-widget\b.*?</gnomic-widget>~s';
        $strict = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:";
        if ($kind === 'policy-header' || $kind === 'policy-report') {
            header(($kind === 'policy-header' ? 'Content-Security-Policy: ' : 'Content-Security-Policy-Report-Only: ').$strict);
        }
        if ($kind === 'sign-in') {
            header('Location: /members/sign-in?next='.rawurlencode($path), true, 302);

            return null;
        }
        if ($kind === 'missing') {
            http_response_code(404);
        }
        if ($kind === 'old-copy') {
            // What a cache has kept; whoever asks past it gets the page as it is.
            $isPast = isset($_GET['gnomic']) || str_contains((string) ($_SERVER['HTTP_CACHE_CONTROL'] ?? ''), 'no-cache');
            header($isPast ? 'X-Cache: MISS' : 'X-Cache: HIT');
            $isPast || header('Age: 86012');
            $html = $isPast ? $html : (string) preg_replace([$script, $element], '', $html);
        }

        return match ($kind) {
            'gone', 'missing' => (string) preg_replace([$script, $element], '', $html),
            'script-gone' => (string) preg_replace([$script, '~(<gnomic-widget\b[^>]*>).*?(</gnomic-widget>)~s'], ['', '$1$2'], $html),
            'element-gone' => (string) preg_replace($element, '', $html),
            'escaped' => (string) preg_replace_callback($element, fn (array $found): string => htmlspecialchars(
                (string) preg_replace('~>.*<~s', '><', $found[0]),
            ), $html),
            'other-key' => (string) preg_replace('~(<gnomic-widget key=")\w+(".*?>).*?(</gnomic-widget>)~s', '$1nobody0key$2$3', $html),
            'twice' => (string) preg_replace('~('.substr($element, 1, -2).')~s', '$1$1', $html, 1),
            'policy-meta' => str_replace('<head>', '<head><meta http-equiv="Content-Security-Policy" content="'.$strict.'">', $html),
            'held' => (string) preg_replace(
                '~<script async src="('.preg_quote($gnomic, '~').'/[\w/]+\.js)"~',
                '<script type="text/plain" data-consent="statistics" data-src="$1"',
                $html,
            ),
            'hidden' => (string) preg_replace($element, '<div hidden>$0</div>', $html),
            'folded' => (string) preg_replace($element, '<style>.folded{display:none}</style><div class="folded">$0</div>', $html),
            'framed' => (string) preg_replace(
                '~<gnomic-widget key="(\w+)".*?</gnomic-widget>~s',
                '<iframe src="'.$gnomic.'/w/$1" title="Reviews" sandbox style="width:100%;height:600px;border:0"></iframe>',
                $html,
            ),
            'moved' => str_replace(['class="edge"', 'class="place"'], 'class="otherwise"', $html),
            default => $html,
        };
    }
};
