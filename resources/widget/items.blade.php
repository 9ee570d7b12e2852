{{-- Cards in a row of their own; in one file, since each file that is put in costs as much as a card. --}}
@foreach ($plan->cards as $place => $card)
<div class="item{{ $page === '' ? '' : " $page" }}{{ $card->isPicture ? ' pic' : '' }}" data-e="{{ $card->ref }}"@if ($plan->leading()::hasSlides()) role="group" aria-roledescription="{{ $words->say('carousel.slide') }}" aria-label="{{ $words->say('carousel.place', ['at' => $before + $place + 1, 'count' => $count]) }}"@endif>@php($spokenIn = $card->language === $words->language ? '' : ' lang="'.e((string) $card->language).'"')
@php($opens = $card->opens ?? ($enlarges ? ($card->url ?? $plan->all) : null))
<article class="card" part="card">
@foreach ($card->blocks as $parts)
@if ($parts[0] === 'rating')
<p class="rating quiet" part="rating">@if ($plan->shape->rating !== 'number' && $plan->shape->rating !== 'words')<span class="glyphs r{{ $card->twentieths }}" part="glyphs"{!! $card->spoken ? ' aria-hidden="true"' : ' role="img" aria-label="'.e($card->rating).'"' !!}></span>@endif{{ $card->spoken ? $card->rating : '' }}</p>
@elseif ($parts[0] === 'title')
<p class="title" part="title" dir="auto"{!! $spokenIn !!}>{{ $card->title }}</p>
@elseif ($parts[0] === 'words')
<div class="words" part="words" dir="auto"{!! $spokenIn !!}><p>{!! nl2br(e($card->words), false) !!}@if ($card->rest !== null)@if ($card->isCut)<span class="cut">&nbsp;…</span>@endif<span class="rest">{!! nl2br(e($card->rest), false) !!}</span>@endif</p></div>
@if ($card->rest !== null || in_array($card->ref, $clamped, true))
<details class="more" part="more"><summary><span class="on">{{ $words->say('card.more') }}</span><span class="off">{{ $words->say('card.less') }}</span><span class="unseen"> {{ $card->called }}</span></summary></details>
@endif
@elseif ($parts[0] === 'reply')
<div class="reply quiet" part="reply"><p class="who">{{ $words->say('card.replied') }}</p><p dir="auto">{!! nl2br(e($card->reply), false) !!}</p></div>
@elseif ($parts[0] === 'pictures')
<div class="pictures n{{ count($card->pictures) }}" part="pictures">
@foreach ($card->pictures as $picture)
<span class="shot{{ $picture->video === null ? '' : ' video' }}{{ $picture->stored?->colour === null ? '' : ' c'.substr($picture->stored->colour, 1) }}" part="picture">@if ($picture->stored !== null)<img src="{{ $picture->stored->at(640) }}"{!! $picture->stored->set() === null ? '' : ' srcset="'.e($picture->stored->set()).'" sizes="'.$sizes.'"' !!} width="{{ $picture->stored->width }}" height="{{ $picture->stored->height }}" alt="{{ $picture->alt ?? '' }}" loading="lazy" decoding="async" referrerpolicy="no-referrer">@endif
@if ($picture->video !== null)<a class="play" href="{{ $picture->video }}" rel="{{ $plan->shape->rel }}" target="_blank" aria-label="{{ $words->say('card.video', ['name' => $picture->alt ?? $card->called]) }}"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M7 4l13 8-13 8z"/></svg></a>@endif</span>
@endforeach
</div>
@elseif ($parts[0] === 'subject')
<p class="subject quiet" dir="auto">{{ $card->subject }}</p>
@elseif ($parts[0] === 'labels')
<p class="labels quiet" part="labels">@foreach ($card->labels as $label)<span dir="auto">{{ $label }}</span>@if (! $loop->last){{ $words->say('list.comma') }}@endif @endforeach</p>
@elseif ($parts[0] === 'likes')
<p class="likes quiet" part="likes">{{ $card->counts }}</p>
@else
@php($has = fn (string $part): bool => in_array($part, $parts, true))
<div class="by quiet" part="by">
@if ($has('face') && $card->face !== null)
@if ($card->face->address !== null)
<img class="face" part="face" src="{{ $card->face->address }}" width="40" height="40" alt="" loading="lazy" decoding="async" referrerpolicy="no-referrer">
@else
<span class="face u{{ $card->face->hue }}" part="face" aria-hidden="true">{{ $card->face->initials }}</span>
@endif
@endif
<p>
@if ($has('name'))
<bdi class="name" part="name">{{ $card->name }}</bdi>
@endif
@if ($has('role') || $has('place'))
<span class="of">@if ($has('role'))<span class="role" dir="auto">{{ $card->role }}</span>@endif{{ $has('role') && $has('place') ? $words->say('list.comma') : '' }}@if ($has('place'))<span class="place" dir="auto">{{ $card->place }}</span>@endif</span>
@endif
@if ($has('date'))<time class="date" part="date" datetime="{{ $card->date }}">{{ $card->when }}</time>@endif
@if ($has('source'))<span class="source" part="source">{{ $card->saidAt[0] }}@if ($card->url !== null)<a href="{{ $card->url }}" rel="{{ $plan->shape->rel }}"{!! $plan->shape->newTab ? ' target="_blank"' : '' !!}>{{ $card->where }}</a>@else{{ $card->where }}@endif{{ $card->saidAt[1] }}</span>@endif
</p>
</div>
@endif
@endforeach
@if ($opens !== null)
<a class="open" href="{{ $opens }}" rel="{{ $plan->shape->rel }}"{!! $plan->shape->newTab && ! $enlarges ? ' target="_blank"' : '' !!} aria-label="{{ $words->say($enlarges ? 'card.enlarge' : 'card.open', ['name' => $card->called]) }}"></a>
@endif
</article></div>
@endforeach
