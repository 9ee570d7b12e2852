<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Text\Words;

/** Why a page as it was answered says nothing of its widgets: it is for members, or is no page, or too large; and what hides the code. */
final class PageFault
{
    /** Of a page, in bytes. */
    public const LARGEST = 4_000_000;

    private const MEMBERS = 'Gnomic sees pages as a visitor does, so it cannot check what only members see. '
        .'It relies on what the widget itself reports.';

    private const SIGN_IN = '~/(?:wp-login|log-?in|sign-?in|sso|auth|account/login|users/sign_in)\b~i';

    /**
     * @param  string  $asked  the address that was asked for
     * @param  string  $refused  what the status says, in a sentence; used where it is no success
     */
    public static function of(string $asked, FetchedPage $page, string $refused): ?CheckFinding
    {
        $isElsewhere = preg_match(self::SIGN_IN, self::path($page->address)) === 1 && preg_match(self::SIGN_IN, self::path($asked)) !== 1;
        if (in_array($page->status, [401, 403], true)) {
            return new CheckFinding(
                PlacementVerdict::SignIn,
                $page->status === 401 ? 'The page asks for a name and a password before it shows anything (status 401).'
                    : 'The page is not for everybody, or something in front of it turns programs away (status 403).',
                $page->status === 401
                    ? self::MEMBERS : 'Open it in a private window: if you see it there, let Gnomic pass in the firewall of the website. '
                        .self::MEMBERS,
            );
        }
        if ($page->redirects > 0 && $isElsewhere) {
            return self::signIn($page->address);
        }
        if ($page->status < 200 || $page->status > 299) {
            return self::unreachable($refused);
        }
        if ($page->type !== '' && preg_match('~^\s*(?:text/html|application/xhtml\+xml)~i', $page->type) !== 1) {
            return self::unreachable(
                parse_url($page->address, PHP_URL_HOST).' sent no web page but '.mb_strimwidth($page->type, 0, 60, '…').'.',
                'Give the address of a page.',
            );
        }

        return strlen($page->html) <= self::LARGEST ? null : self::unreachable(
            'The page is larger than '.(self::LARGEST / 1_000_000).' MB, which is more than Gnomic looks through.',
            'Visitors wait for such a page, too: find out what makes it so large.',
        );
    }

    /** @param  string  $why  a sentence */
    public static function unreachable(string $why, string $next = 'Check whether the page opens in a browser.'): CheckFinding
    {
        return new CheckFinding(PlacementVerdict::Unreachable, $why, $next);
    }

    /** Where a page leads to another that wants a password. */
    public static function behindSignIn(string $asked, FetchedPage $page, PageTags $tags): ?CheckFinding
    {
        return $tags->asksToSignIn && $page->redirects > 0 && self::path($page->address) !== self::path($asked)
            ? self::signIn($page->address)
            : null;
    }

    /** Where the code is behind a cache that has not got it yet. */
    public static function oldCopy(FetchedPage $page): CheckFinding
    {
        return new CheckFinding(
            PlacementVerdict::OldCopy,
            'A cache in front of the page serves a copy from before'.($page->age === null ? '' : " ($page->age)")
                .'; behind it, the code is there.',
            'Clear this page from the cache: that of the page builder, of a plug-in or of the content network.',
        );
    }

    private static function signIn(string $address): CheckFinding
    {
        return new CheckFinding(
            PlacementVerdict::SignIn,
            'The page sends whoever is not signed in to '.mb_strimwidth($address, 0, 120, '…').'.',
            self::MEMBERS,
        );
    }

    private static function path(string $address): string
    {
        return Words::filled((string) parse_url($address, PHP_URL_PATH)) ?? '/';
    }
}
