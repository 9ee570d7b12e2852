<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Check\FetchedPage;
use Gnomic\Place\Check\PageFault;
use Gnomic\Place\Check\PageTags;
use Gnomic\Place\Check\PlacementVerdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which pages say nothing of their widgets, and what their owner is told to do. */
final class PageFaultTest extends TestCase
{
    private const ASKED = 'https://quillmoor.example/visit';

    private static function page(string $html = '<p>Visit', string $address = self::ASKED, int $status = 200, string $type = 'text/html', int $redirects = 0): FetchedPage
    {
        return new FetchedPage($html, $address, status: $status, type: $type, redirects: $redirects);
    }

    /** @return iterable<string, array{FetchedPage, PlacementVerdict|null, string}> */
    public static function pages(): iterable
    {
        yield 'a page' => [self::page(), null, ''];
        yield 'one of XHTML' => [self::page(type: 'application/xhtml+xml; charset=utf-8'), null, ''];
        yield 'one without a type' => [self::page(type: ''), null, ''];
        yield 'as large as is looked through' => [self::page(str_repeat('x', PageFault::LARGEST)), null, ''];
        yield 'larger' => [self::page(str_repeat('x', PageFault::LARGEST + 1)), PlacementVerdict::Unreachable, 'larger than 4 MB'];
        yield 'refused' => [self::page(status: 403), PlacementVerdict::SignIn, 'not for everybody'];
        yield 'led to sign in' => [self::page(address: 'https://quillmoor.example/login?to=visit', redirects: 1), PlacementVerdict::SignIn, '/login?to=visit'];
        yield 'led elsewhere' => [self::page(address: 'https://quillmoor.example/blog/', redirects: 1), null, ''];
        yield 'gone' => [self::page(status: 404), PlacementVerdict::Unreachable, 'Nothing is there.'];
        yield 'a picture' => [self::page(type: 'image/png'), PlacementVerdict::Unreachable, 'quillmoor.example sent no web page but image/png.'];
    }

    #[DataProvider('pages')]
    public function test_what_is_no_page_to_look_through_is_told(FetchedPage $page, ?PlacementVerdict $verdict, string $says): void
    {
        $fault = PageFault::of(self::ASKED, $page, 'Nothing is there.');
        self::assertSame($verdict, $fault?->verdict);
        if ($fault !== null) {
            self::assertStringContainsString($says, $fault->says);
            self::assertNotSame('', $fault->next);
        }
    }

    public function test_a_page_for_signing_in_that_was_asked_for_is_a_page(): void
    {
        $page = self::page(address: 'https://quillmoor.example/login/', redirects: 1);
        self::assertNull(PageFault::of('https://quillmoor.example/login', $page, ''));
    }

    public function test_a_password_on_another_page_is_a_sign_in_and_on_the_same_one_is_none(): void
    {
        $form = '<input type="password">';
        foreach ([['/members', 1, true], ['/members', 0, false], ['/visit', 1, false]] as [$path, $redirects, $isSignIn]) {
            $page = self::page($form, "https://quillmoor.example$path", redirects: $redirects);
            $told = PageFault::behindSignIn(self::ASKED, $page, PageTags::of($page, 'https://words.gnomic.example'));
            self::assertSame($isSignIn, $told?->verdict === PlacementVerdict::SignIn, "$path, $redirects redirects");
        }
    }

    public function test_a_copy_in_a_cache_is_told_with_its_age(): void
    {
        self::assertStringContainsString('from before (Age: 300); behind it', PageFault::oldCopy(new FetchedPage('', self::ASKED, age: 'Age: 300'))->says);
        self::assertStringContainsString('from before; behind it', PageFault::oldCopy(new FetchedPage('', self::ASKED))->says);
    }
}
