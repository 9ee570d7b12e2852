<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/** Whether a widget is on a page, and if not, why. */
enum PlacementVerdict: string
{
    case Right = 'right';
    case Missing = 'missing';
    case OtherKey = 'other-key';
    case Partly = 'partly';
    case Reported = 'reported';
    case Twice = 'twice';
    case Escaped = 'escaped';
    case ScriptGone = 'script-gone';
    case ElementGone = 'element-gone';
    case Held = 'held';
    case Policy = 'policy';
    case Mixed = 'mixed';
    case FrameBlocked = 'frame-blocked';
    case Hidden = 'hidden';
    case OldCopy = 'old-copy';
    case NotAllowed = 'not-allowed';
    case NoPlace = 'no-place';
    case ManyPlaces = 'many-places';
    case NotPublished = 'not-published';
    case Unreachable = 'unreachable';
    case SignIn = 'sign-in';

    /** In two or three words. */
    public function label(): string
    {
        return match ($this) {
            self::Right => 'there',
            self::Missing => 'missing',
            self::OtherKey => 'another key',
            self::Partly => 'there in part',
            self::Reported => 'there, and reported',
            self::Twice => 'there twice',
            self::Escaped => 'shown as text',
            self::ScriptGone => 'script removed',
            self::ElementGone => 'element removed',
            self::Held => 'waits for consent',
            self::Policy => 'refused by the page’s policy',
            self::Mixed => 'blocked as insecure',
            self::FrameBlocked => 'frame blocked',
            self::Hidden => 'hidden',
            self::OldCopy => 'an old copy is served',
            self::NotAllowed => 'address not allowed',
            self::NoPlace => 'its place is gone',
            self::ManyPlaces => 'its place is not unique',
            self::NotPublished => 'not published',
            self::Unreachable => 'page unreachable',
            self::SignIn => 'behind a sign-in',
        };
    }

    /** Whether visitors see it all the same. */
    public function shows(): bool
    {
        return in_array($this, [self::Right, self::Reported, self::Partly, self::Twice, self::ManyPlaces], true);
    }

    /** Whether the page is sent without what brings it there; where it is not known, it is not. */
    public function lacksCode(): bool
    {
        return in_array($this, [self::Missing, self::OtherKey, self::Escaped, self::ScriptGone, self::ElementGone, self::OldCopy,
            self::NoPlace], true);
    }

    /** Of several, the one that is told first. */
    public function weight(): int
    {
        return match ($this) {
            self::Right => 0,
            self::Twice, self::ManyPlaces, self::Partly, self::Reported => 1,
            self::Hidden, self::Held => 2,
            default => 3,
        };
    }
}
