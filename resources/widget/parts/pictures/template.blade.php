<div class="pictures n{{ count($part->pictures) }}" part="pictures">
@foreach ($part->pictures as $picture)
<span class="shot{{ $picture->video === null ? '' : ' video' }}{{ $picture->stored?->colour === null ? '' : ' c'.substr($picture->stored->colour, 1) }}" part="picture">@if ($picture->stored !== null)<img src="{{ $picture->stored->at(640) }}"{!! $picture->stored->set() === null ? '' : ' srcset="'.e($picture->stored->set()).'" sizes="'.$sizes.'"' !!} width="{{ $picture->stored->width }}" height="{{ $picture->stored->height }}" alt="{{ $picture->alt ?? '' }}" loading="lazy" decoding="async" referrerpolicy="no-referrer">@endif
@if ($picture->video !== null)<a class="play" href="{{ $picture->video }}" rel="{{ $plan->shape->rel }}" target="_blank" aria-label="{{ $words->say('card.video', ['name' => $picture->alt ?? $card->called]) }}"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M7 4l13 8-13 8z"/></svg></a>@endif</span>
@endforeach
</div>
