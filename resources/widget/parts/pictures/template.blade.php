<div class="pictures n{{ count($part->pictures) }}" part="pictures"{!! $isLarge && count($part->pictures) > 1 ? ' tabindex="0" role="group" aria-label="'.e($words->say('card.pictures', ['count' => count($part->pictures)])).'"' : '' !!}>
@foreach ($part->pictures as $picture)
<span class="shot{{ $picture->video === null ? '' : ' video' }}{{ $picture->stored?->colour === null ? '' : ' c'.substr($picture->stored->colour, 1) }}" part="picture">@if ($picture->stored !== null)<img src="{{ $picture->stored->at(640) }}"{!! $picture->stored->set() === null ? '' : ' srcset="'.e($picture->stored->set()).'" sizes="'.$sizes.'"' !!} width="{{ $picture->stored->width }}" height="{{ $picture->stored->height }}" alt="{{ $picture->alt ?? '' }}" loading="lazy" decoding="async" referrerpolicy="no-referrer">@endif
@if ($picture->video !== null)<a class="play" href="{{ $picture->video }}" rel="{{ $plan->shape->rel }}" target="_blank" aria-label="{{ $words->say('card.video', ['name' => $picture->alt ?? $card->called]) }}"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M7 4l13 8-13 8z"/></svg></a>@if ($picture->length() !== null)<span class="length">{{ $picture->length() }}</span>@endif @endif</span>
@endforeach
@if ($card->isPicture && $part->all > 1 && ! $isLarge)
<span class="many"><svg viewBox="0 0 20 20" aria-hidden="true"><path d="M6 6V3h11v11h-3M3 6h11v11H3z"/></svg><span aria-hidden="true">{{ $words->number($part->all) }}</span><span class="unseen">{{ $words->say('card.pictures', ['count' => $part->all]) }}</span></span>
@endif
</div>
