<?php

declare(strict_types=1);

namespace Gnomic\Place\Policy;

/** What a page's policy has to let a widget do. */
enum Need: string
{
    /** The script of a tag. */
    case Script = 'script';

    /** Editions, and counts. */
    case Connect = 'connect';

    case Picture = 'img';

    /** Styles within an edition that the page's own server has put in. */
    case Style = 'style';

    /** The width and the room on the tag itself. */
    case StyleAttribute = 'style-attribute';

    case Frame = 'frame';

    /**
     * Directives that decide, the first that a policy has (CSP 3, §6.8.3).
     *
     * @return non-empty-list<string>
     */
    public function directives(): array
    {
        return match ($this) {
            self::Script => ['script-src-elem', 'script-src', 'default-src'],
            self::Connect => ['connect-src', 'default-src'],
            self::Picture => ['img-src', 'default-src'],
            self::Style => ['style-src-elem', 'style-src', 'default-src'],
            self::StyleAttribute => ['style-src-attr', 'style-src', 'default-src'],
            self::Frame => ['frame-src', 'child-src', 'default-src'],
        };
    }

    /** The directive that is named to whoever is to add to the policy. */
    public function directive(): string
    {
        return match ($this) {
            self::Script => 'script-src',
            self::Style, self::StyleAttribute => 'style-src',
            default => $this->directives()[0],
        };
    }

    /** What does not happen where it is refused. */
    public function consequence(): string
    {
        return match ($this) {
            self::Script => 'the script does not run, and nothing shows',
            self::Connect => 'the widget cannot be fetched, and nothing shows',
            self::Picture => 'pictures stay empty',
            self::Style => 'a widget that your server puts in shows without its styles until its script has come',
            self::StyleAttribute => 'no room is kept for the widget while it loads',
            self::Frame => 'the frame stays empty',
        };
    }

    /** Whether visitors see nothing without it. */
    public function isVital(): bool
    {
        return in_array($this, [self::Script, self::Connect, self::Frame], true);
    }
}
