<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Picture;
use App\Models\Site;
use App\Models\Source;
use App\Sources\Connect;
use App\Sources\WantedSource;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The owner's own sign for a service: from a file to the figures on a page, and back to the name. */
final class SignsTest extends TestCase
{
    private Site $mine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mine = $this->site();
        $this->actingAs($this->ownerOf($this->mine));
        foreach (['the-dome' => 'dome', 'harrow-lane' => 'lane'] as $key => $address) {
            $source = $this->source($this->mine, $key, 'wayleaf', $address);
            $this->store($source, [new Entry('1', Kind::Review, author: new Author('Ines'), rating: Rating::on(Scale::ofStars(), 5.0), text: 'Dark.')]);
        }
        $this->publish($this->mine->widgets()->create(['key' => 'signs12345', 'name' => 'Signs', 'brief' => BriefReader::read(
            ['version' => 4, 'shape' => ['head' => ['overall', 'channels']]],
        )->toArray()]));
    }

    /**
     * A disc on nothing.
     *
     * @param  int<1, max>  $width
     * @param  int<5, max>  $height
     */
    private static function drawn(int $width, int $height): string
    {
        $image = imagecreatetruecolor($width, $height);
        self::assertNotFalse($image);
        imagesavealpha($image, true);
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, 0, 0, 0, 127));
        imagefilledellipse($image, intdiv($width, 2), intdiv($height, 2), $height - 4, $height - 4, (int) imagecolorallocate($image, 40, 90, 60));
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /** @return TestResponse<Response> */
    private function give(string $key, string $bytes): TestResponse
    {
        return $this->post(
            "/api/sources/$key/sign",
            ['picture' => UploadedFile::fake()->createWithContent('sign.png', $bytes)],
            ['Accept' => 'application/json'],
        );
    }

    private function out(): string
    {
        return (string) file_get_contents(config('gnomic.editions').'/signs12345/current/widget.html');
    }

    public function test_a_sign_is_given_shown_and_taken_back(): void
    {
        self::assertStringContainsString('>Wayleaf<', $this->out());
        $given = $this->give('the-dome', self::drawn(400, 100));
        Contract::assertKept('post', '/sources/{key}/sign', $given);
        $given->assertOk()->assertJsonPath('called', 'Wayleaf')->assertJsonPath('isRated', true);
        $id = $given->json('sign.id');
        $address = $given->json('sign.address');
        self::assertStringContainsString('<img src="'.$address.'" width="400" height="100" alt="Wayleaf"', $this->out());
        self::assertSame(1, substr_count($this->out(), '<img src='), 'two pages of one service are one');
        // It is written anew, and what was transparent still is.
        $kept = Picture::query()->firstOrFail();
        $image = imagecreatefromwebp(config('gnomic.editions')."/p/$kept->name-400.webp");
        self::assertNotFalse($image);
        self::assertSame(127, imagecolorat($image, 0, 0) >> 24 & 127);
        self::assertSame(0, imagecolorat($image, 200, 50) >> 24 & 127);

        // The other source of the service has it, and one that is connected later.
        $this->getJson('/api/sources/harrow-lane')->assertJsonPath('sign.id', $id);
        $later = app(Connect::class)->source($this->mine, new WantedSource('wayleaf', 'skerry', 'Skerry Field', null, null, null, null));
        self::assertSame($id, $later->refresh()->sign);
        self::assertNull($this->source($this->mine, 'the-blog')->refresh()->sign);

        $back = $this->patchJson('/api/sources/harrow-lane', ['sign' => null]);
        Contract::assertKept('patch', '/sources/{key}', $back);
        $back->assertOk()->assertJsonPath('sign', null);
        self::assertStringContainsString('>Wayleaf<', $this->out());
        self::assertSame(0, Source::query()->whereNotNull('sign')->count());
        $this->patchJson('/api/sources/the-dome', ['sign' => $id])->assertOk();
        self::assertStringContainsString((string) $address, $this->out());
    }

    public function test_what_is_no_sign_of_the_site_is_refused_and_changes_nothing(): void
    {
        foreach (['no picture', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', ''] as $bytes) {
            $this->give('the-dome', $bytes)->assertUnprocessable();
        }
        $this->give('not-there', self::drawn(40, 40))->assertNotFound();
        $other = $this->site('Another');
        $this->source($other, 'theirs', 'wayleaf', 'theirs');
        $this->give('theirs', self::drawn(40, 40))->assertNotFound();
        $theirs = Picture::query()->create(['site_id' => $other->id, 'url' => 'https://picture.invalid/abc',
            'digest' => Picture::digestOf('https://picture.invalid/abc'), 'state' => 'kept']);
        foreach ([$theirs->url, 'https://elsewhere.example/sign.png', 'x'] as $address) {
            $this->patchJson('/api/sources/the-dome', ['name' => 'Other', 'sign' => $address])->assertUnprocessable()
                ->assertJsonPath('message', 'This picture is not there any more. Choose it again.');
        }
        self::assertStringContainsString('>Wayleaf<', $this->out());
        self::assertSame(0, Source::query()->whereNotNull('sign')->orWhere('name', 'Other')->count(), 'nor is half of a change kept');
    }
}
